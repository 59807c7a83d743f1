/** Whether the first pointer of this screen is a finger; false where that cannot be known. */
export const ofFingers = (): boolean => 'matchMedia' in window && window.matchMedia('(pointer: coarse)').matches;
