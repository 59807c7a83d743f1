/** In all steps together. */
export const LAYERS_AT_MOST = 60;
export const STEPS_AT_MOST = 60;
/** Cut pieces and segments, in all steps together. */
export const PARTS_AT_MOST = 400;
