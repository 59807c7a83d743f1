import type { Recipe } from '../recipe';
import { CAST, CAST_CARE, castWork } from './cast';

export const coreCast: Recipe = {
  ...CAST,
  name: 'Hollow casting',
  reaches: 'glass fills the gap between a mould and its core',
  spares: 'the core stays where it stands',
  asks: { kind: 'core', what: 'the thickest and the thinnest section between mould and core, the wall and the core' },
  work: (asked) => castWork(asked, 'hollow casting'),
  looksLike: {
    early: 'grains stand in the gap like gravel',
    right: 'a level ring of glass stands in the gap, to its mark all round',
    late: 'the core has tipped or floats, one side of the ring is wider',
  },
  care: `A core stands between glass that shrinks more than it does: make it weaker than the mould, and hollow. ${CAST_CARE}`,
};
