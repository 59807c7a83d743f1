/** What of this room is used outside of the core. */
export { CORNERS_AT_MOST, crossesItself, type Footprint, footprintArea, footprintHole, footprintSpan, sidesOf } from './footprint';
export { footprintWords } from './footprintWords';
export { evenSheets, layerDepth, rowsOf } from './layers';
export { bodyFigures, mainGlass } from './body';
