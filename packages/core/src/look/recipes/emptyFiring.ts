/** What firings without glass share: no look, no heat work of glass; what counts is how long the coldest place of an empty item is warm, or the cone it comes to. */
import { refused } from '../../problem';
import { CRACKS_ALONE } from '../flaws';
import type { Recipe } from '../recipe';

/** Under the boil: steam that cannot leave bursts a wall. What the coldest place must have to dry at all, °C. */
export const UNDER_THE_BOIL = { at_C: 95, through_C: 85 };

export const EMPTY_FIRING = {
  group: 'ware',
  spares: 'slow enough for its wall, and never boiling in it',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  byForm: true,
  flaws: CRACKS_ALONE,
  uneven: 1,
  hold_s: { cooler: 600, hotter: 600, least: 0, most: 1e6 },
  asks: { kind: 'ware', what: 'what is fired, how thick its wall is, how long and how wide it is' },
  work: () => refused('no-glass', 'look', 'Nothing of glass is fired here: heat work is not what it goes by.'),
} as const satisfies Partial<Recipe>;
