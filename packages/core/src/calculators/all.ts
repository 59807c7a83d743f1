/** Every calculator there is. A new one is added here. */
import { arrange } from './arrange';
import { body } from './body';
import { causes } from './causes';
import { check } from './check';
import { composeFiring } from './compose';
import { cone } from './cone';
import { corrections } from './corrections';
import { sameWork } from './equalWork';
import { evaluateFiring } from './evaluate';
import { field } from './field';
import { fitGlasses } from './fit';
import { flow } from './flow';
import { kilnFit } from './kilnFit';
import { kilnTimes } from './kilnTimes';
import { keySchedule } from './keyIn';
import { ladder } from './ladder';
import { composedLoad } from './load';
import { nextAfter } from './nextFiring';
import { polariser } from './polariser';
import { QUANTITIES } from './quantities/all';
import { quantity } from './quantity';
import { comesFree } from './release';
import { readKeyed } from './readBack';
import { simulate } from './simulate';
import { spreadFit } from './spreadFit';
import { thickness } from './thickness';

export const CALCULATORS = {
  quantity,
  ...QUANTITIES,
  body,
  thickness,
  field,
  fit: fitGlasses,
  flow,
  release: comesFree,
  polariser,
  simulate,
  compose: composeFiring,
  load: composedLoad,
  arrange,
  check,
  evaluate: evaluateFiring,
  equalWork: sameWork,
  kilnFit,
  kilnTimes,
  spreadFit,
  corrections,
  ladder,
  nextFiring: nextAfter,
  causes,
  cone,
  keyIn: keySchedule,
  readBack: readKeyed,
};

type Calculators = typeof CALCULATORS;
export type EngineCall = keyof Calculators;
export type Asked<C extends EngineCall> = Parameters<Calculators[C]['compute']>[0];
export type Answered<C extends EngineCall> = ReturnType<Calculators[C]['compute']>;
export const CALLS = Object.keys(CALCULATORS) as EngineCall[];
