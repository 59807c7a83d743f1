/** A coordinate as it is written into a path: tenths of a pixel are finer than any screen. */
export const tenth = (pixels: number): number => Math.round(pixels * 10) / 10;
