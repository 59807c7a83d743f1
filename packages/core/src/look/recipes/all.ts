/** Every kind of firing by its name. compose and check read all they know of one from its recipe; nothing else tells them apart. */
import type { Look } from '../names';
import type { Recipe } from '../recipe';
import { anneal } from './anneal';
import { bisque } from './bisque';
import { burnOut } from './burnOut';
import { contour } from './contour';
import { coreCast } from './coreCast';
import { drape } from './drape';
import { dryMould } from './dryMould';
import { dryShelf } from './dryShelf';
import { drip } from './drip';
import { firePolish } from './firePolish';
import { fullFuse } from './fullFuse';
import { heap } from './heap';
import { lace } from './lace';
import { openCast } from './openCast';
import { potMelt } from './potMelt';
import { press } from './press';
import { loosen } from './loosen';
import { reservoirCast } from './reservoirCast';
import { ring } from './ring';
import { rush } from './rush';
import { slabFlow } from './slabFlow';
import { slump } from './slump';
import { stick } from './stick';
import { strips } from './strips';
import { tack } from './tack';
import { wafer } from './wafer';

/** As LOOK_NAMES has them. */
const recipes = {
  ...{ stick, firePolish, tack, contour, fullFuse, rush },
  ...{ wafer, lace, heap },
  ...{ strips, ring, slabFlow, press, drip, potMelt },
  ...{ openCast, coreCast, reservoirCast },
  ...{ slump, drape, loosen, anneal },
  ...{ dryShelf, dryMould, burnOut, bisque },
} satisfies Record<Look, Recipe>;

export const RECIPES: Readonly<Record<Look, Recipe>> = recipes;
