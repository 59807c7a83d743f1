/** Whether the server asks this device for the passcode before it says anything else. */
import { told, useTold } from './told';

const asked = told(false);

export const isAsked = asked.get;
export const setAsked = asked.set;
export const useAskedForPasscode = (): boolean => useTold(asked);
