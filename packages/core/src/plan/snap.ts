/** Where a part that is moved or turned by hand comes to lie: on the middle, on edges, as far from its neighbours as they are from one another. */
import { type Box, wholeTurn } from './parts';

export interface Guide {
  /** A line to the back at x, or one to the right at y, m. */
  along: 'x' | 'y';
  at_m: number;
  why: 'middle' | 'edge' | 'neighbour' | 'spacing';
}

export interface Snapped {
  dx_m: number;
  dy_m: number;
  guides: Guide[];
}

interface Extent {
  from: number;
  to: number;
}

interface Pull {
  by: number;
  guide: Guide;
}

/** In which order they win where they pull as hard. */
const WHY: readonly Guide['why'][] = ['middle', 'edge', 'spacing', 'neighbour'];

function pulls(own: Extent, others: readonly Extent[], within: Extent, along: 'x' | 'y'): Pull[] {
  const middle = ({ from, to }: Extent): number => (from + to) / 2;
  const wide = own.to - own.from;
  const to = (at_m: number, own_m: number, why: Guide['why']): Pull => ({ by: at_m - own_m, guide: { along, at_m, why } });
  const found = [
    to(middle(within), middle(own), 'middle'),
    to(within.from, own.from, 'edge'),
    to(within.to, own.to, 'edge'),
    ...others.flatMap((other) => [
      to(middle(other), middle(own), 'neighbour'),
      to(other.from, own.from, 'neighbour'),
      to(other.to, own.to, 'neighbour'),
      to(other.to, own.from, 'neighbour'),
      to(other.from, own.to, 'neighbour'),
    ]),
  ];
  // The two nearest on each side: as far from the nearer as that is from the one behind it; or half way between two.
  const before = others.filter((one) => middle(one) < middle(own)).sort((a, b) => b.to - a.to);
  const after = others.filter((one) => middle(one) > middle(own)).sort((a, b) => a.from - b.from);
  if (before.length > 1 && before[0].from > before[1].to) found.push(to(before[0].to + before[0].from - before[1].to, own.from, 'spacing'));
  if (after.length > 1 && after[1].from > after[0].to) found.push(to(after[0].from - after[1].from + after[0].to, own.to, 'spacing'));
  if (before.length > 0 && after.length > 0 && after[0].from - before[0].to > wide) found.push(to((before[0].to + after[0].from) / 2, middle(own), 'spacing'));
  return found;
}

function strongest(found: readonly Pull[], near_m: number): Pull | null {
  const close = found.filter(({ by }) => Math.abs(by) <= near_m);
  return close.reduce<Pull | null>((best, one) => {
    if (best === null) return one;
    const nearer = Math.abs(one.by) - Math.abs(best.by);
    if (Math.abs(nearer) > 1e-9) return nearer < 0 ? one : best;
    return WHY.indexOf(one.guide.why) < WHY.indexOf(best.guide.why) ? one : best;
  }, null);
}

/** own: the box of what is moved, where the hand has it; others: those of parts on its level; within: that of the piece. near_m: how far it is pulled. */
export function snapped(own: Box, others: readonly Box[], within: Box, near_m: number): Snapped {
  const x = strongest(
    pulls(
      { from: own.left, to: own.right },
      others.map(({ left, right }) => ({ from: left, to: right })),
      { from: within.left, to: within.right },
      'x',
    ),
    near_m,
  );
  const y = strongest(
    pulls(
      { from: own.front, to: own.back },
      others.map(({ front, back }) => ({ from: front, to: back })),
      { from: within.front, to: within.back },
      'y',
    ),
    near_m,
  );
  return { dx_m: x?.by ?? 0, dy_m: y?.by ?? 0, guides: [x, y].flatMap((pull) => (pull ? [pull.guide] : [])) };
}

const ROUND_ANGLE_DEG = 15;

/** A turn as a hand has it, on a round angle or that of another part where it is near one. */
export function snappedTurn(degrees: number, others: readonly number[], near_deg: number): number {
  const round = Math.round(degrees / ROUND_ANGLE_DEG) * ROUND_ANGLE_DEG;
  const wanted = [round, ...others.flatMap((one) => [one, one + 180, one - 180])];
  const nearest = wanted.reduce((best, one) => (Math.abs(wholeTurn(one - degrees)) < Math.abs(wholeTurn(best - degrees)) ? one : best));
  return wholeTurn(Math.abs(wholeTurn(nearest - degrees)) <= near_deg ? nearest : Math.round(degrees));
}
