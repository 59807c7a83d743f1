import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { CAST, CAST_CARE, castWork } from './cast';

export const coreCast: Recipe = {
  ...CAST,
  name: LOOK_NAMES.coreCast,
  reaches: 'glass fills the gap between a mould and its core',
  spares: 'the core stays where it stands',
  asks: { kind: 'core', what: 'the thickest and the thinnest section between mould and core, the wall and the core' },
  work: (asked) => castWork(asked, 'hollow casting'),
  usuallyOn: 'inInvestment',
  drawn: {
    glass: 'M17 12 H23 Q25 27 36 27 Q47 27 49 12 H55 Q52 33 36 33 Q20 33 17 12 Z',
    form: 'M8 36 V7 H15.4 Q18 35 36 35 Q54 35 56.6 7 H64 V36 Z M24.6 7 H47.4 Q46 25.4 36 25.4 Q26 25.4 24.6 7 Z',
  },
  looksLike: {
    early: 'grains fill the gap like gravel',
    right: 'a level ring of glass fills the gap, to its mark all round',
    late: 'the core has tipped or floats, one side of the ring is wider',
  },
  care: `A core stands between glass that shrinks more than it does: make it weaker than the mould, and hollow. ${CAST_CARE}`,
};
