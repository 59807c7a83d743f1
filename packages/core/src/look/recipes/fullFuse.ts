import { found } from '../../problem';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byRelief, times } from '../works';

export const fullFuse: Recipe = {
  name: LOOK_NAMES.fullFuse,
  group: 'flat',
  reaches: 'edges round and nearly level',
  spares: 'outline and colours do not run',
  squeezes: true,
  levels: true,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.fullFuse, byRelief(body))),
  drawn: { glass: 'M9 36 Q4 36 4 31.5 Q4 27 9 27 H63 Q68 27 68 31.5 Q68 36 63 36 Z', lines: 'M12 26.5 V20 H26 V26.5 M48 26.5 V20 H60 V26.5' },
  looksLike: {
    early: 'parts are still to be seen as bumps in the reflection',
    right: 'the reflection of the elements runs through without a break, the rim is a full round',
    late: 'the outline wanders, needle points show at corners, bubbles rise',
  },
  care: 'Primer and paper burn out on the way up, long before the glass softens: air the room. Scrape primer that was so hot off wet and coat again. Whether it may hold food depends on every glass in it: ask its makers.',
};
