/** What of this room is used outside of the core. */
export {
  BUBBLE_SIZES,
  BUBBLES,
  type BubbleSize,
  CRACK_COURSES,
  CRACK_EDGES,
  CRACKS,
  type CrackCourse,
  type CrackEdge,
  type Flaw,
  FLAW_NAMES,
  FLAWS,
  flawWords,
} from './flaws';
export { type Ghost, ghostOf, rimMovesIn } from './ghost';
export { type Look, LOOK_NAMES, LOOKS } from './names';
export { RECIPES } from './recipes/all';
export { type OwnFigure, RECIPE_GROUPS, type RecipeGroup } from './recipe';
export { aimedWork, neededWork } from './work';
export { type DesignDepth, designDepth } from './unevenness';
export { SHAPINGS } from './shapings/all';
export { USUAL_WALL_M } from './shapings/cavity';
export type { ShapingField } from './shapings/declare';
export { TYPICAL_WORKS } from './works';
export { type Cavity, cavityOf, isBending, type Shaping, shapingDown, emptyItemOf } from './shaping';
