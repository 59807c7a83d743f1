import type { Recipe } from '../recipe';
import { CAST, CAST_CARE, castWork } from './cast';

export const openCast: Recipe = {
  ...CAST,
  name: 'Casting in an open mould',
  reaches: 'billets or frit sink together and fill their mould',
  spares: 'the mould holds, and its face comes off clean',
  asks: { kind: 'cavity', what: 'the thickest and the thinnest section of its cavity, and the wall of its mould' },
  work: (asked) => castWork(asked, 'casting in an open mould'),
  looksLike: {
    early: 'billets or grains still show their corners, gaps stand along the wall',
    right: 'one still surface up to the wall all round, and no more seed comes up',
    late: 'the surface has sunk below its mark, or steam and bubbles come up from the mould',
  },
  care: CAST_CARE,
};
