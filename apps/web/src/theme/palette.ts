/** Every colour there is. Components never name one: they take a role from theme.ts. */
export const palette = {
  sheetEdge: '#E9F0ED',
  milk: '#F6FAF8',
  slate: '#10201C',
  tide: '#50675F',
  foam: '#C9D8D2',
  deepBlue: '#1F3FC4',
  night: '#0D1513',
  shed: '#14201D',
  lamp: '#E6F0EC',
  mist: '#9AB1A9',
  seam: '#2A3A35',
  paleBlue: '#9DB2FF',
  alarmDark: '#9A1B4B',
  alarmPale: '#FF9DBE',
  shelfLight: '#D9CDC2',
  shelfDark: '#4A4239',
  white: '#FFFFFF',
} as const;

/** Incandescence: temperature and nothing else. °C and the colour a black body shows in a dim room. */
export const GLOW: readonly [celsius: number, colour: string][] = [
  [470, '#6B7F78'],
  [520, '#4F1A1A'],
  [600, '#7E1B14'],
  [700, '#B5321A'],
  [780, '#E2631D'],
  [860, '#F39A3C'],
  [1000, '#FBD98A'],
];
