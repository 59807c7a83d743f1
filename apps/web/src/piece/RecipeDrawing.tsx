/** A kind of firing in a small drawing: glass as it ends, what holds it, thin lines for what was there before. */
import type { Look } from '@torvin/core';
import { memo } from 'react';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';

/** Paths in a field of 72 by 40, the shelf at 36. glass is filled, form is what stands beside, over or under it, lines are drawn thin. */
interface Drawn {
  glass?: string;
  form?: string;
  lines?: string;
  /** Without a shelf: seen from above, or carried by its form alone. */
  bare?: true;
}

const SLAB = 'M4 36 V29 H68 V36 Z';
const ROUND = 'M9 36 Q4 36 4 31.5 Q4 27 9 27 H63 Q68 27 68 31.5 Q68 36 63 36 Z';

const STEAM = 'M24 24 Q20 20 24 16 Q28 12 24 8 M36 24 Q32 20 36 16 Q40 12 36 8 M48 24 Q44 20 48 16 Q52 12 48 8';

const DRAWN: Record<Look, Drawn> = {
  stick: { glass: `${SLAB} M12 28.4 V20 H26 V28.4 Z M32 28.4 V20 H42 V28.4 Z M48 28.4 V20 H60 V28.4 Z` },
  firePolish: { glass: 'M7 36 Q4 36 4 33 V25 Q4 22 7 22 H65 Q68 22 68 25 V33 Q68 36 65 36 Z', lines: 'M12 16 V9 M36 15 V6 M60 16 V9' },
  tack: {
    glass: `${SLAB} M12 29 V23 Q12 20 15 20 H23 Q26 20 26 23 V29 Z M32 29 V23 Q32 20 35 20 H39 Q42 20 42 23 V29 Z M48 29 V23 Q48 20 51 20 H57 Q60 20 60 23 V29 Z`,
  },
  contour: {
    glass: `M7 36 Q4 36 4 32.5 Q4 29 8 29 H12 Q13 23 20 23 Q27 23 28 29 H30 Q31 23 38 23 Q45 23 46 29 H48 Q49 23 55 23 Q61 23 62 29 H64 Q68 29 68 32.5 Q68 36 65 36 Z`,
  },
  fullFuse: { glass: ROUND, lines: 'M12 26.5 V20 H26 V26.5 M48 26.5 V20 H60 V26.5' },
  rush: {
    glass: 'M25 36 Q20 36 20 31 Q20 24 27 24 H45 Q52 24 52 31 Q52 36 47 36 Z',
    lines: 'M23 22 L26 19 L29 22 L32 19 L35 22 L38 19 L41 22 L44 19 L47 22 M60 34 V10 M56 15 L60 9 L64 15',
  },
  wafer: {
    glass: 'M6 36 V33.4 H66 V36 Z',
    lines: 'M10 30 V29.4 M16 31 V30.4 M22 29.6 V29 M28 31 V30.4 M34 30 V29.4 M40 31 V30.4 M46 29.6 V29 M52 31 V30.4 M58 30 V29.4 M63 31 V30.4',
  },
  lace: {
    glass:
      'M4 32 A4 4 0 1 1 12 32 A4 4 0 1 1 4 32 Z M11 33 A3 3 0 1 1 17 33 A3 3 0 1 1 11 33 Z M25 32 A4 4 0 1 1 33 32 A4 4 0 1 1 25 32 Z M41 33 A3 3 0 1 1 47 33 A3 3 0 1 1 41 33 Z M46 32 A4 4 0 1 1 54 32 A4 4 0 1 1 46 32 Z M61 33 A3 3 0 1 1 67 33 A3 3 0 1 1 61 33 Z',
  },
  heap: { glass: 'M14 36 Q8 36 8 32 Q9 26 36 26 Q63 26 64 32 Q64 36 58 36 Z', lines: 'M20 26 L36 8 L52 26' },
  strips: {
    glass:
      'M12 36 V16 H16.4 V36 Z M18 36 V16 H22.4 V36 Z M24 36 V16 H28.4 V36 Z M30 36 V16 H34.4 V36 Z M36 36 V16 H40.4 V36 Z M42 36 V16 H46.4 V36 Z M48 36 V16 H52.4 V36 Z M54 36 V16 H59 V36 Z',
    form: 'M4 36 V12 H10 V36 Z M61 36 V12 H67 V36 Z',
  },
  ring: {
    bare: true,
    glass:
      'M37 3 A17 17 0 0 1 52.5 16 L44.5 18.4 A9 9 0 0 0 37 11.2 Z M53 19 A17 17 0 0 1 42 36 L38.6 28.6 A9 9 0 0 0 44.8 20.6 Z M39 37 A17 17 0 0 1 21.5 29 L29 25 A9 9 0 0 0 36 29.2 Z M20 26 A17 17 0 0 1 24 8.5 L29.6 14.4 A9 9 0 0 0 27.6 22.8 Z M26.5 6.4 A17 17 0 0 1 34 3.2 L34.6 11.2 A9 9 0 0 0 31.6 12.6 Z',
  },
  slabFlow: { glass: 'M12 36 V17 Q12 15 15 15.6 Q36 17.4 57 15.6 Q60 15 60 17 V36 Z', form: 'M5 36 V10 H11 V36 Z M61 36 V10 H67 V36 Z' },
  press: {
    glass: 'M21 36 Q17 36 17 30.5 Q17 25 21 25 H51 Q55 25 55 30.5 Q55 36 51 36 Z',
    form: 'M6 24.4 V15 H66 V24.4 Z M8 36 V25.4 H13 V36 Z M59 36 V25.4 H64 V36 Z',
    lines: 'M36 3 V11 M32.5 8 L36 12 L39.5 8',
  },
  drip: {
    glass:
      'M16 36 Q11 36 11 33 Q11 30 18 30 H54 Q61 30 61 33 Q61 36 56 36 Z M24 12 L25.4 30 H26.2 L27.6 12 Z M35 12 L36 30 H37 L38 12 Z M45.4 12 L46.8 30 H47.6 L49 12 Z M20 4 H52 L50 10 H22 Z',
    form: 'M14 14 V10 H24 V14 Z M28 14 V10 H34 V14 Z M39 14 V10 H45 V14 Z M49 14 V10 H59 V14 Z',
  },
  potMelt: {
    glass: 'M16 36 Q11 36 11 33 Q11 30 18 30 H54 Q61 30 61 33 Q61 36 56 36 Z M34.4 16 L35.4 30 H36.6 L37.6 16 Z M23 7 H49 L47.6 14 H24.4 Z',
    form: 'M17 3 H22 L24.4 14 H33.4 V18 H21 Z M55 3 H50 L47.6 14 H38.6 V18 H51 Z',
  },
  openCast: {
    glass: 'M17 15 H55 L52 31 Q36 34 20 31 Z',
    form: 'M8 36 V8 H14 L18.6 32.4 Q36 35.6 53.4 32.4 L58 8 H64 V36 Z',
    lines: 'M22 11 L27 6 L32 11 M36 12 L41 7 L46 12',
  },
  coreCast: {
    glass: 'M17 12 H23 Q25 27 36 27 Q47 27 49 12 H55 Q52 33 36 33 Q20 33 17 12 Z',
    form: 'M8 36 V7 H15.4 Q18 35 36 35 Q54 35 56.6 7 H64 V36 Z M24.6 7 H47.4 Q46 25.4 36 25.4 Q26 25.4 24.6 7 Z',
  },
  reservoirCast: {
    glass: 'M22 4 H50 L46 10 H26 Z M34.2 12 L35 22 H37 L37.8 12 Z M24 24 H48 L46 33 H26 Z',
    form: 'M14 36 V2 H20 L25 11.4 H33 V18 H22.4 L24.6 34.4 H47.4 L49.6 18 H39 V11.4 H47 L52 2 H58 V36 Z',
  },
  slump: {
    glass: 'M4 12 H12 Q18 28 36 28 Q54 28 60 12 H68 V17 H63 Q56 33 36 33 Q16 33 9 17 H4 Z',
    form: 'M4 18.6 H8.4 Q16 34.6 36 34.6 Q56 34.6 63.6 18.6 H68 V36 H4 Z',
  },
  loosen: {
    glass: 'M18 21 Q36 14 54 21 L52 26 Q36 19 20 26 Z',
    form: 'M10 8 H62 V18 H58 Q36 7 14 18 H10 Z M10 18 H14 V36 H10 Z M58 18 H62 V36 H58 Z',
    lines: 'M36 24 V32 M32.5 29 L36 33 L39.5 29',
  },
  anneal: {
    glass: 'M4 36 V22 H68 V36 Z',
    lines: 'M14 29 H30 M26 25.5 L30 29 L26 32.5 M58 29 H42 M46 25.5 L42 29 L46 32.5',
  },
  dryShelf: { form: 'M6 30 H66 V34 H6 Z M12 34 H17 V36.4 H12 Z M55 34 H60 V36.4 H55 Z', lines: STEAM },
  dryMould: { form: 'M8 36 V14 H15 Q18 30 36 30 Q54 30 57 14 H64 V36 Z', lines: STEAM },
  burnOut: {
    form: 'M8 36 V14 H15 Q18 30 36 30 Q54 30 57 14 H64 V36 Z',
    lines: 'M27 28 Q23 22 28 17 Q29 21 31 20 Q31 13 36 7 Q36 14 41 19 Q43 18 43 15 Q48 22 45 28',
  },
  bisque: { form: 'M4 36 V20 H10 Q13 32 28 32 Q43 32 46 20 H52 V36 Z', lines: 'M58 36 V24 Q58 15 66 18 M62 36 V26 Q62 20 66 18' },
  drape: { glass: 'M14 34 Q15 12 22 11 H50 Q57 12 58 34 L53.4 34 Q53 17 49 16 H23 Q19 17 18.6 34 Z', form: 'M24.6 36 V17.4 H47.4 V36 Z' },
};

/** Beside its name, which says what it is. */
export const RecipeDrawing = memo(function RecipeDrawing({ look }: { look: Look }) {
  const { colours } = useTheme();
  const { glass, form, lines, bare = false } = DRAWN[look];
  return (
    <Svg width={72} height={40} viewBox="0 0 72 40" aria-hidden>
      {form && <Path d={form} fill={colours.shelf} />}
      {glass && <Path d={glass} fill={colours.line} stroke={colours.muted} strokeWidth={1} />}
      {lines && <Path d={lines} fill="none" stroke={colours.muted} strokeWidth={1.4} strokeLinecap="round" />}
      {!bare && <Path d="M0 37.5 H72" stroke={colours.shelf} strokeWidth={3} />}
    </Svg>
  );
});
