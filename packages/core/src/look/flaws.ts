/** What can be seen on glass when it comes out, beside how far it got: each kind of firing has its own. Both can be true: right, and stuck. */
export const FLAWS = {
  ...{ bubble: 'bubble', blowThrough: 'blown through', pinholes: 'pinholes', devitrified: 'devitrified', spikedRim: 'spiked rim', drawnIn: 'rim drawn in' },
  ...{ stuck: 'stuck', cracked: 'cracked', warped: 'warped', colourOff: 'colour off' },
  ...{ offCentre: 'off centre', airHump: 'hump of air', thinnedRim: 'thinned rim', unevenRim: 'uneven rim', marked: 'marked', hooked: 'hooked on its rim' },
  ...{ folded: 'folded', slid: 'slid', gripped: 'gripped', unevenHem: 'uneven hem', touchedShelf: 'touched the shelf', thinnedShoulder: 'thinned shoulder' },
  split: 'split',
  ...{ unfilled: 'not filled', fins: 'fins', leaked: 'leaked', veils: 'veils', inclusions: 'inclusions', dimple: 'shrink dimple' },
  crackedInMould: 'cracked in the mould',
  ...{ islands: 'islands', closedUp: 'closed up', brokeLifted: 'broke when lifted' },
  ...{ notEmptied: 'not emptied', scalloped: 'scalloped', muddy: 'muddy', flakes: 'flakes in it' },
  ...{ matt: 'matt', distorted: 'distorted', shelfTexture: 'texture of the shelf' },
  ...{ crumbly: 'crumbly', curled: 'curled' },
} as const;
export type Flaw = keyof typeof FLAWS;
export const FLAW_NAMES = Object.keys(FLAWS) as [Flaw, ...Flaw[]];

export const FUSE_FLAWS = [
  'bubble',
  'blowThrough',
  'pinholes',
  'devitrified',
  'spikedRim',
  'drawnIn',
  'stuck',
  'cracked',
  'warped',
  'colourOff',
] as const satisfies readonly Flaw[];
export const SLUMP_FLAWS = [
  'offCentre',
  'airHump',
  'thinnedRim',
  'unevenRim',
  'marked',
  'hooked',
  'stuck',
  'devitrified',
  'cracked',
  'warped',
] as const satisfies readonly Flaw[];
export const DRAPE_FLAWS = [
  ...(['folded', 'slid', 'gripped', 'unevenHem', 'touchedShelf', 'thinnedShoulder', 'split', 'stuck', 'devitrified'] as const),
] as const satisfies readonly Flaw[];
export const CAST_FLAWS = [
  ...(['unfilled', 'fins', 'leaked', 'veils', 'bubble', 'inclusions', 'dimple', 'devitrified', 'crackedInMould', 'cracked'] as const),
] as const satisfies readonly Flaw[];
export const LACE_FLAWS = ['islands', 'closedUp', 'brokeLifted', 'stuck', 'devitrified', 'colourOff'] as const satisfies readonly Flaw[];
export const MELT_FLAWS = ['notEmptied', 'scalloped', 'muddy', 'flakes', 'bubble', 'stuck', 'cracked'] as const satisfies readonly Flaw[];
export const POLISH_FLAWS = ['matt', 'distorted', 'shelfTexture', 'devitrified', 'stuck', 'cracked'] as const satisfies readonly Flaw[];
export const WAFER_FLAWS = ['crumbly', 'curled', 'stuck', 'colourOff'] as const satisfies readonly Flaw[];
export const CRACKS_ALONE = ['cracked'] as const satisfies readonly Flaw[];

/** 'stuck, spiked rim': in the order of the declaration. */
export const flawWords = (flaws: readonly Flaw[]): string =>
  FLAW_NAMES.filter((one) => flaws.includes(one))
    .map((one) => FLAWS[one])
    .join(', ');

/** What a bubble, a crack and its course tell of where they come from. */
export const BUBBLE_SIZES = ['small', 'large'] as const;
export type BubbleSize = (typeof BUBBLE_SIZES)[number];
/** Glass that broke cold has sharp edges; what broke on the way up was rounded by the heat that came after. */
export const CRACK_EDGES = ['sharp', 'rounded'] as const;
export type CrackEdge = (typeof CRACK_EDGES)[number];
/** across: through the piece from rim to rim; join: along where two glasses meet; form: where it lay against its form or dam. */
export const CRACK_COURSES = ['across', 'join', 'form'] as const;
export type CrackCourse = (typeof CRACK_COURSES)[number];

/** Flaws that cracks are, and those that bubbles are. */
export const CRACKS = ['cracked', 'crackedInMould', 'split', 'brokeLifted'] as const satisfies readonly Flaw[];
export const BUBBLES = ['bubble', 'blowThrough', 'pinholes', 'veils', 'airHump'] as const satisfies readonly Flaw[];
