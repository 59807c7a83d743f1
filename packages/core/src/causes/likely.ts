/** How likely each cause of a flaw is with nothing else known, against the others of that flaw: as studios find them; nothing here is measured. */
import type { Flaw } from '../look/flaws';
import type { CauseName } from './causes';

type Likely = Partial<Record<CauseName, number>>;

const AIR: Likely = { squeezeShort: 4, dampPrimer: 2, dishedShelf: 2, glue: 1, fingerprints: 1, tooHot: 1, blockedVents: 1 };
const CRACK: Likely = { tooFastUp: 2, tooFastDown: 2, stressLeft: 1.5, openedEarly: 1.5, misfit: 1.5, formerGripped: 1.5, againstDam: 0.7 };
const UNEVEN: Likely = { mouldOffLevel: 3, hotSide: 2, tooHot: 1, tooFastUp: 0.5 };
const STICKS: Likely = { wornRelease: 4, tooHot: 1.5, dampPrimer: 0.5, formerGripped: 1 };
const SHORT: Likely = { tooCool: 4, hotSide: 1 };
const SHRINKS: Likely = { tooThin: 4, tooHot: 1.5 };

export const LIKELY: Record<Flaw, Likely> = {
  bubble: AIR,
  blowThrough: { ...AIR, dampPrimer: 3, tooHot: 2 },
  pinholes: { fingerprints: 2, glue: 1, squeezeShort: 1, dampPrimer: 1, blastResidue: 1 },
  veils: { fingerprints: 2, tooCool: 2, squeezeShort: 1 },
  airHump: { blockedVents: 4, tooHot: 1, dampPrimer: 1 },
  devitrified: { tooLongInHaze: 4, fingerprints: 2, blastResidue: 2, wornRelease: 0.7 },
  spikedRim: { againstDam: 3, tooThin: 3, wornRelease: 1.5, tooHot: 1 },
  drawnIn: SHRINKS,
  scalloped: { ...SHRINKS, tooCool: 1 },
  stuck: STICKS,
  gripped: { formerGripped: 5, wornRelease: 1, tooHot: 0.5 },
  cracked: CRACK,
  crackedInMould: { ...CRACK, formerGripped: 3 },
  split: { formerGripped: 2, tooFastUp: 2, tooHot: 1, misfit: 1 },
  brokeLifted: { tooCool: 3, tooThin: 1, stressLeft: 1 },
  warped: { bent: 3, dishedShelf: 2, misfit: 2, hotSide: 1 },
  colourOff: { colourChange: 3, tooHot: 1.5, tooCool: 1, tooLongInHaze: 0.5 },
  offCentre: UNEVEN,
  unevenRim: UNEVEN,
  slid: { ...UNEVEN, tooHot: 2 },
  unevenHem: UNEVEN,
  thinnedRim: { tooHot: 3, hotSide: 1 },
  thinnedShoulder: { tooHot: 3, hotSide: 1 },
  marked: { wornRelease: 2, tooHot: 3 },
  hooked: { tooHot: 1, mouldOffLevel: 1, formerGripped: 1 },
  folded: { tooHot: 2, hotSide: 1 },
  touchedShelf: { tooHot: 3, mouldOffLevel: 1 },
  unfilled: SHORT,
  fins: { tooHot: 2, dampPrimer: 1 },
  leaked: { tooHot: 2, dampPrimer: 1 },
  inclusions: { wornRelease: 2, fingerprints: 1, dampPrimer: 1 },
  dimple: { tooFastDown: 2, tooHot: 1 },
  islands: { tooCool: 2, tooThin: 3 },
  closedUp: { tooHot: 3 },
  notEmptied: SHORT,
  muddy: { colourChange: 3, tooHot: 1 },
  flakes: { wornRelease: 4 },
  matt: { tooCool: 3, tooLongInHaze: 2, blastResidue: 1, fingerprints: 1 },
  distorted: { tooHot: 4 },
  shelfTexture: { tooHot: 3, wornRelease: 1 },
  crumbly: { tooCool: 4 },
  curled: { tooHot: 1, bent: 2, tooThin: 1 },
};
