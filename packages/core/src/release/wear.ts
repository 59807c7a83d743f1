/**
 * How far a coat is used up: by how often it was fired since it was laid on, by how hot, and by what was seen of it. A coat lasts longer
 * under shaped work than under a fuse: where the studio has counted that too, each firing takes its share of the life that it belongs to.
 * The studio's own counts are the judge; nothing here forbids anything.
 */
import type { Tally } from './released';
import type { Units } from '../units/convert';
import { formatTemperature, text } from '../units/format';

/** From here on a firing counts as a hot one: glass begins to stick to what it lies on. */
export const HOT_FROM_C = 700;

export interface CoatLife {
  name: string;
  /** Firings it lasts; below HOT_FROM_C, where that was counted too. */
  firings: number;
  coolFirings?: number;
  top_C: number;
}

/** What has been fired on it since. */
export interface FiredSince {
  hot: number;
  cool: number;
  /** Null where nothing was. */
  hottest_C: number | null;
  /** How glass came off it since, of the firings that were told of. */
  released?: Tally;
}

export type Wear = 'good' | 'last' | 'recoat';

/** Share of its life that is gone; over 1 where it has had more. */
export const wornBy = (
  { firings, coolFirings = firings }: Pick<CoatLife, 'firings' | 'coolFirings'>,
  { hot, cool }: Pick<FiredSince, 'hot' | 'cool'>,
): number => hot / firings + cool / coolFirings;

/** How often glass stuck to it or broke coming off since: whatever its count says, it has had enough. */
const heldIt = ({ released }: FiredSince): number => (released ? released.stuck + released.broke : 0);

/** recoat: before anything else lies on it; last: one more firing of the kind that it had uses it up. */
export function wearOf(life: CoatLife, since: FiredSince, scratched: boolean): Wear {
  if (scratched || heldIt(since) > 0 || (since.hottest_C !== null && since.hottest_C > life.top_C)) return 'recoat';
  const worn = wornBy(life, since);
  if (worn > 1 - 1e-9) return 'recoat';
  const { firings, coolFirings = firings } = life;
  return worn + 1 / (since.hot > 0 || since.cool === 0 ? firings : coolFirings) > 1 - 1e-9 && since.hot + since.cool > 0 ? 'last' : 'good';
}

const times = (n: number): string => (n === 1 ? 'one firing' : `${n} firings`);

/** What the record says of going on with it: that which came off by itself every time may once more. */
function maySkip({ released }: FiredSince): string {
  if (!released) return '';
  const easy = released.fell;
  const all = easy + released.tapped;
  if (all === 0) return '';
  if (released.tapped > 0) return ` ${released.tapped} of ${all} recorded had to be tapped.`;
  return ` ${easy === 1 ? 'The one recorded' : `All ${easy} recorded`} came off by ${easy === 1 ? 'itself' : 'themselves'}: by this record it may be left for one more.`;
}

/** '7 firings since, none over 640 °C; Shelf primer lasts 12.' */
export function wearWords(life: CoatLife, since: FiredSince, scratched: boolean, units: Units): string {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
  const { name, firings, coolFirings, top_C } = life;
  const fired = since.hot + since.cool;
  const lasts = `${name} lasts ${times(firings)}${coolFirings === undefined ? '' : `, ${coolFirings} below ${degrees(HOT_FROM_C)}`}`;
  const had = fired === 0 ? 'Not fired since' : `${fired === 1 ? 'One firing' : times(fired)} since, none over ${degrees(since.hottest_C ?? 0)}`;
  if (scratched) return `It is scratched or bare: recoat before glass lies on it. ${had}; ${lasts}.`;
  const stuck = heldIt(since);
  if (stuck > 0) return `Glass ${stuck === 1 ? 'stuck or broke on it once' : `stuck or broke on it ${stuck} times`} since: recoat it. ${had}; ${lasts}.`;
  if (since.hottest_C !== null && since.hottest_C > top_C)
    return `It was fired to ${degrees(since.hottest_C)}, and ${name} is good for ${degrees(top_C)}: recoat it. ${had.split(',')[0]}.`;
  switch (wearOf(life, since, scratched)) {
    case 'recoat':
      return `${had}; ${lasts}: recoat it.${maySkip(since)}`;
    case 'last':
      return `${had}; ${lasts}: recoat it after the next.`;
    default:
      return `${had}; ${lasts}.`;
  }
}
