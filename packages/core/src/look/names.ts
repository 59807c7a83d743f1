/** What each kind of firing is called, in the order of rising heat, group by group. */
export const LOOK_NAMES = {
  stick: 'Low tack',
  firePolish: 'Fire polish',
  tack: 'Tack fuse',
  contour: 'Contour fuse',
  fullFuse: 'Full fuse',
  rush: 'Fast fuse for coatings',
  wafer: 'Powder wafer',
  lace: 'Frit lace',
  heap: 'Frit disc',
  strips: 'Strip panel',
  ring: 'Ring of segments',
  slabFlow: 'Dam melt',
  press: 'Pressing',
  drip: 'Screen melt',
  potMelt: 'Pot melt',
  openCast: 'Casting in an open mould',
  coreCast: 'Hollow casting',
  reservoirCast: 'Casting from a reservoir',
  slump: 'Slump',
  drape: 'Drape',
  loosen: 'Loosening',
  anneal: 'Second anneal',
  dryShelf: 'Drying of a shelf',
  dryMould: 'Drying of an empty mould',
  burnOut: 'Burning out',
  bisque: 'Bisque of a clay mould',
} as const;

export type Look = keyof typeof LOOK_NAMES;
export const LOOKS = Object.keys(LOOK_NAMES) as [Look, ...Look[]];
