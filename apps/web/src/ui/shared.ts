/** Which of the panels that belong to no page is open over the places; one at a time. */
import { told, useTold } from '@/outside/told';

/** Where sums are done; its panel lies over the pages. */
export const RECKON = 'reckon';
/** Whatever there is, found by words. */
export const FIND = 'find';
/** Of the page that is open. */
export const HELP = 'help';

const open = told<string | null>(null);

export const openShared = (name: string): void => open.set(name);
export const closeShared = (): void => open.set(null);
export const useShared = (): string | null => useTold(open);
