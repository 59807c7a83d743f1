/** What each piece takes of a shelf, and where it lies there. Lengths in m from the left and the front wall of the kiln, to the middle of each. */
import { type Footprint, footprintSpan, sidesOf } from '../body/footprint';
import { bodyFigures } from '../body/body';
import { roomOfForm } from '../form/shape';
import type { Evaluation } from '../schedule/reading';
import type { FiringCase } from '../schedule/firingCase';
import { glassAfter } from '../schedule/inTime';
import { standingHeight } from '../schedule/possible';
import type { Lying } from '../kiln/inside';

export interface Outline {
  wide_m: number;
  long_m: number;
  /** A circle as wide as that. */
  isRound: boolean;
  high_m: number;
}

export interface Placed {
  /** Its place in what was sent. */
  item: number;
  /** From the lowest, 0. */
  shelf: number;
  x_m: number;
  y_m: number;
  /** A quarter turn: its width lies along. */
  turned: boolean;
}

const isCircle = ({ shape }: Footprint): boolean => shape === 'disc' || shape === 'ring';

/** What a piece takes of a shelf: the wider of itself before and after its firing, and of the form that it is in or on. */
export function outlineOf(firing: FiringCase, work_perPa: Evaluation['work_perPa']): Outline {
  const { footprint } = firing.body;
  const form = firing.setup.form && roomOfForm(firing.setup.form);
  const after = glassAfter(firing, work_perPa.mean);
  // It spreads by as much on each side.
  const grows_m = after ? Math.max(0, after.shape.width_m - footprintSpan(footprint)) : 0;
  const [narrow_m, far_m] = isCircle(footprint) ? [footprintSpan(footprint), footprintSpan(footprint)] : sidesOf(footprint);
  return {
    wide_m: Math.max(narrow_m + grows_m, form?.narrow_m ?? 0),
    long_m: Math.max(far_m + grows_m, form?.far_m ?? 0),
    isRound: isCircle(footprint) && (form === undefined || form.narrow_m === form.far_m),
    high_m: Math.max(standingHeight(firing), bodyFigures(firing.body).depth.max_m),
  };
}

export const lyingOf = ({ x_m, y_m, turned }: Pick<Placed, 'x_m' | 'y_m' | 'turned'>, { wide_m, long_m, isRound }: Outline): Lying => ({
  ...{ x_m, y_m, isRound },
  ...(turned ? { wide_m: long_m, long_m: wide_m } : { wide_m, long_m }),
});
