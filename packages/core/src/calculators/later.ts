/** What is asked beside the run sheet: they bring packages that fit, clip and invert. */
import { arrange } from './arrange';
import { causes } from './causes';
import { corrections } from './corrections';
import { kilnFit } from './kilnFit';
import { kilnTimes } from './kilnTimes';
import { ladder } from './ladder';
import { composedLoad } from './load';
import { nextAfter } from './nextFiring';
import { QUANTITIES } from './quantities/all';
import { quantity } from './quantity';
import { spreadFit } from './spreadFit';
import { thickness } from './thickness';

export const LATER = {
  quantity,
  ...QUANTITIES,
  thickness,
  load: composedLoad,
  arrange,
  kilnFit,
  kilnTimes,
  spreadFit,
  corrections,
  ladder,
  nextFiring: nextAfter,
  causes,
};
