import { bodyFigures, mainGlass } from '../../body/body';
import { workToSag } from '../../flow/sag';
import { refused } from '../../problem';
import { SLUMP_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { spanned } from '../shaping';
import { bentWork, leftToGo, shapingAim } from './bent';

export const slump: Recipe = {
  name: LOOK_NAMES.slump,
  group: 'shaped',
  reaches: 'sinks to the mould',
  spares: 'edges and surface stay as they are',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  flaws: SLUMP_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 1200, hotter: 480, least: 300, most: 2400 },
  asks: { kind: 'hollow', what: 'the mould it sinks into; a cut-out in fibre board is one' },
  law: "A plate over an opening sinks at C·ρga⁴/(ηL²), C by its outline (Timoshenko's plates, viscosity in place of stiffness). Where it stretches it sinks slower.",
  work(asked) {
    const { body, shaping } = asked;
    if (shaping?.kind !== 'hollow') return refused('missing', 'setup.shaping', "A slump needs a hollow: the mould's span and depth.");
    const opening = spanned(shaping, body.footprint);
    const { depth_m } = opening;
    const workTo = (drop_m: number): number => workToSag(mainGlass(body), opening, bodyFigures(body).depth.mean_m, drop_m);
    const left = leftToGo(shaping.down_m, depth_m, 'depth_m');
    return left.ok ? bentWork(asked, workTo(depth_m) - workTo(left.value), 'span_m') : left;
  },
  aim: shapingAim,
  usuallyOn: 'inMould',
  crown: (shaping) => (shaping.kind === 'hollow' ? -shaping.depth_m : 0),
  drawn: {
    glass: 'M4 12 H12 Q18 28 36 28 Q54 28 60 12 H68 V17 H63 Q56 33 36 33 Q16 33 9 17 H4 Z',
    form: 'M4 18.6 H8.4 Q16 34.6 36 34.6 Q56 34.6 63.6 18.6 H68 V36 H4 Z',
  },
  looksLike: {
    early: 'a line of light between glass and mould, widest in the middle',
    right: 'the reflection lies still in the form, the middle touches',
    late: 'the rim is drawn in, its edge is soft, the mould prints through',
  },
  care: 'Check through the peep hole, not over the rim. Face shield and gloves; power off before a hand goes in.',
};
