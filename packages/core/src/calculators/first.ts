/** What a run sheet asks: a page reads these with it, and the others a moment later. */
import { body } from './body';
import { check } from './check';
import { composeFiring } from './compose';
import { cone } from './cone';
import { sameWork } from './equalWork';
import { evaluateFiring } from './evaluate';
import { field } from './field';
import { fitGlasses } from './fit';
import { flow } from './flow';
import { keySchedule } from './keyIn';
import { polariser } from './polariser';
import { comesFree } from './release';
import { readKeyed } from './readBack';
import { simulate } from './simulate';

export const FIRST = {
  body,
  field,
  fit: fitGlasses,
  flow,
  release: comesFree,
  polariser,
  simulate,
  compose: composeFiring,
  check,
  evaluate: evaluateFiring,
  equalWork: sameWork,
  cone,
  keyIn: keySchedule,
  readBack: readKeyed,
};
