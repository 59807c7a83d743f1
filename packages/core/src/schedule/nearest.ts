/** Which firings are most like one: of its kind, by body, form and what shapes it. */
import { shapingDown } from '../look/shaping';
import type { SeenFiring } from './bounds';

export type Comparable = Pick<SeenFiring, 'look' | 'kilnId' | 'formId' | 'body' | 'shaping'>;

/** Thickness decides most of what heat does; then the glass, then how large it is. */
const WEIGHTS = { mean_m: 2, max_m: 1, narrow_m: 0.5, far_m: 0.5 } as const;
/** So many degrees of softening are as far apart as twice the size. */
const SOFTER_K = 30;
const OTHER = { form: 0.5, joined: 0.3, parts: 0.2, kiln: 0.2 } as const;

const ratio = (one: number, other: number): number => (one > 0 && other > 0 ? Math.abs(Math.log(one / other)) : one === other ? 0 : 1);

/** How far one is from another: 0 where nothing of it differs, infinite where it is of another kind. */
export function apart(one: Comparable, other: Comparable): number {
  if (one.look !== other.look) return Infinity;
  const measures = (Object.keys(WEIGHTS) as (keyof typeof WEIGHTS)[]).reduce((sum, key) => sum + WEIGHTS[key] * ratio(one.body[key], other.body[key]), 0);
  const [down, otherDown] = [one, other].map(({ shaping }) => shapingDown(shaping) ?? 0);
  return (
    measures +
    Math.abs(one.body.softening_C - other.body.softening_C) / SOFTER_K +
    ratio(down, otherDown) +
    (one.formId === other.formId ? 0 : OTHER.form) +
    (one.body.joined === other.body.joined ? 0 : OTHER.joined) +
    (one.body.parts === other.body.parts ? 0 : OTHER.parts) +
    (one.kilnId === other.kilnId ? 0 : OTHER.kiln)
  );
}

/** Of its kind, the nearest first; as they came where two are as near. */
export const nearestFirst = <T extends Comparable>(one: Comparable, among: readonly T[], most: number): T[] =>
  among
    .map((other) => ({ other, far: apart(one, other) }))
    .filter(({ far }) => Number.isFinite(far))
    .sort((a, b) => a.far - b.far)
    .slice(0, most)
    .map(({ other }) => other);
