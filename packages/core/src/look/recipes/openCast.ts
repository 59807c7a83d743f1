import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { CAST, CAST_CARE, castWork } from './cast';

export const openCast: Recipe = {
  ...CAST,
  name: LOOK_NAMES.openCast,
  reaches: 'billets or frit sink together and fill their mould',
  spares: 'the mould holds, and its face comes off clean',
  asks: { kind: 'cavity', what: 'the thickest and the thinnest section of its cavity, and the wall of its mould' },
  work: (asked) => castWork(asked, 'casting in an open mould'),
  usuallyOn: 'inInvestment',
  drawn: {
    glass: 'M17 15 H55 L52 31 Q36 34 20 31 Z',
    form: 'M8 36 V8 H14 L18.6 32.4 Q36 35.6 53.4 32.4 L58 8 H64 V36 Z',
    lines: 'M22 11 L27 6 L32 11 M36 12 L41 7 L46 12',
  },
  looksLike: {
    early: 'billets or grains still show their corners, gaps stand along the wall',
    right: 'one still surface up to the wall all round, and no more seed comes up',
    late: 'the surface has sunk below its mark, or steam and bubbles come up from the mould',
  },
  care: CAST_CARE,
};
