/** Of the section of what is in a kiln, px. */
export const SECTION_HEIGHT = 110;
