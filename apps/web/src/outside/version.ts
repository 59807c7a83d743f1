/**
 * Whether the server means by its requests and answers what this page means. Where it was renewed meanwhile, what the page has to
 * save waits until it is loaded anew: another version might take it for something else.
 */
import { API } from './page';
import { told, useTold } from './told';

const other = told(false);

export const isOtherVersion = other.get;
export const onVersion = other.subscribe;
export const useOtherVersion = (): boolean => useTold(other);

/** api: as an answer says; null where it says nothing. */
export function noteApi(api: string | null): void {
  if (API !== null && api !== null) other.set(api !== API);
}
