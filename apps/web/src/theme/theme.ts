/** Roles of colour, space and type. Two themes, one shape. */
import { palette } from './palette';

export interface Colours {
  ground: string;
  surface: string;
  ink: string;
  muted: string;
  line: string;
  touch: string;
  onTouch: string;
  warn: string;
  shelf: string;
  /** Tints of the state columns, cold to hot. */
  columns: readonly string[];
  /** Thin to deep glass: one hue, by lightness. */
  depths: readonly string[];
}

export const light: Colours = {
  ground: palette.sheetEdge,
  surface: palette.milk,
  ink: palette.slate,
  muted: palette.tide,
  line: palette.foam,
  touch: palette.deepBlue,
  onTouch: palette.white,
  warn: palette.alarmDark,
  shelf: palette.shelfLight,
  columns: ['transparent', '#DCE3E0', '#E9F0ED', '#E2DAD5', '#E7DFD4', '#EDE2D0', '#F1E3C6'],
  depths: ['#E8F2EF', '#CEE4DD', '#B5D5CA', '#9BC7B8', '#81B8A6', '#68AA94', '#549580', '#467C6A', '#376254'],
};

export const dark: Colours = {
  ground: palette.night,
  surface: palette.shed,
  ink: palette.lamp,
  muted: palette.mist,
  line: palette.seam,
  touch: palette.paleBlue,
  onTouch: palette.night,
  warn: palette.alarmPale,
  shelf: palette.shelfDark,
  columns: ['transparent', '#1A2220', '#0D1513', '#211A18', '#261C16', '#2B2015', '#302514'],
  depths: ['#1D342D', '#2C4E43', '#3B6859', '#498370', '#589D86', '#6FAE99', '#89BDAC', '#A4CCBE', '#BEDAD1'],
};

export const space = { hair: 4, small: 8, medium: 12, large: 16, wide: 24, huge: 40 } as const;
export const TARGET = 48;
export const RADIUS = 2;
export const breakpoints = { column: 600, rail: 900, beside: 1200 } as const;
export const COLUMN_WIDTH = 560;

/** How much larger than usual this person's browser is set to write; read once, as the browser applies it to a page once. */
const textScale = ((): number => {
  const size = typeof document === 'undefined' ? Number.NaN : Number.parseFloat(getComputedStyle(document.documentElement).fontSize);
  return Number.isFinite(size) ? Math.min(Math.max(size / 16, 0.8), 2) : 1;
})();
/** px of something that must grow with the words in it. */
export const scaled = (px: number): number => Math.round(px * textScale);

export const wordSize = { note: scaled(12), label: scaled(14), text: scaled(16), title: scaled(20), heading: scaled(24) } as const;
export const figureSize = { small: scaled(20), medium: scaled(28), large: scaled(36) } as const;

/** Words fall back on the figures' face, which has the eighths of an inch; never on the system's. */
export const fonts = {
  words: 'AtkinsonHyperlegibleNext_400Regular, BarlowSemiCondensed_400Regular',
  wordsBold: 'AtkinsonHyperlegibleNext_700Bold, BarlowSemiCondensed_700Bold',
  figures: 'BarlowSemiCondensed_400Regular',
  figuresBold: 'BarlowSemiCondensed_700Bold',
} as const;
