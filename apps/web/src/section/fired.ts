/** A body that was fired, as it is drawn: in or over what bent it, in the mould that it filled, with the rim of a puddle. */
import { footprintSpan } from '@torvin/core/body';
import { type Shaping, shapingDown } from '@torvin/core/look';
import type { DrawnBody, DrawnLayer } from '@torvin/core/piece';
import type { GlassShape } from '@torvin/core/schedule';
import type { Box } from './geometry';
import { type TimedBody, type TimedSection, timedSection } from './inTime';

/** A rim that surface tension has drawn is round by half of what hot glass rests at, m. */
const RIM_M = 0.003;

const standingOf = (layers: readonly DrawnLayer[]): readonly DrawnLayer[] => {
  const from = layers.findLastIndex(({ form }) => form !== 'pieces') + 1;
  return from > 0 ? layers.slice(from) : [];
};
const deepest = (layers: readonly DrawnLayer[]): number => layers.reduce((most, { thickness_m }) => Math.max(most, thickness_m), 0);

/** Made glass whose stripes lie on one another, as the layers that they are. */
const unstacked = (layers: readonly DrawnLayer[]): DrawnLayer[] =>
  layers.flatMap(({ stripes, stacked, ...layer }) =>
    stripes && stacked
      ? stripes.map(({ colour, share }) => ({ ...layer, colour, thickness_m: layer.thickness_m * share }))
      : { ...layer, ...(stripes ? { stripes } : {}) },
  );

const NOTHING = { down: null, relief: null, film: null, lain: null, edges: 1 } as const;

function bodyFor({ footprint, layers: own, bent, ran }: DrawnBody): { body: Omit<TimedBody, 'end'>; at: GlassShape } | null {
  const layers = unstacked(own);
  const span_m = footprintSpan(footprint);
  const stands_m = deepest(standingOf(layers));
  const depth_m =
    layers.reduce((sum, { thickness_m, cover }) => sum + thickness_m * (cover ?? 1), 0) - (stands_m > 0 ? stands_m * (standingOf(layers)[0].cover ?? 1) : 0);
  const flat = { width_m: span_m, depth_m, rim_m: 0, relief_m: stands_m, crown_m: 0 };
  const given = { span_m, layers, isSolid: () => true };
  if (bent) {
    const of_m = shapingDown(bent.shaping) ?? bent.down_m;
    if (of_m <= 0) return null;
    return {
      body: { ...given, shaping: bent.shaping, ...(bent.form ? { form: bent.form } : {}) },
      at: { ...NOTHING, shape: flat, down: { by_m: Math.min(bent.down_m, of_m), of_m } },
    };
  }
  if (ran?.as === 'cast') {
    const shaping: Shaping = { kind: 'cavity', thick_m: depth_m, thin_m: Math.min(ran.thin_m, depth_m), wall_m: ran.wall_m };
    return { body: { ...given, shaping }, at: { ...NOTHING, shape: flat } };
  }
  if (ran?.as === 'puddle') return { body: { ...given, shaping: undefined }, at: { ...NOTHING, shape: { ...flat, rim_m: Math.min(depth_m / 2, RIM_M) } } };
  return null;
}

/** Null of one that lies as it was laid. */
export function firedSection(drawn: DrawnBody, box: Box): TimedSection | null {
  const made = drawn.layers.length > 0 ? bodyFor(drawn) : null;
  return made && timedSection({ ...made.body, end: made.at }, made.at, box);
}
