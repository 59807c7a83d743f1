/**
 * How much may stand on a page at once, on a phone of 390 × 844 with the demo's data and nothing opened. What is added to a page is a row,
 * a menu entry or a place of its own: these figures do not grow, but where the demo's data do (a piece that waits is a row of several lists). A panel has the figures that were set for a calm page; the others are
 * what they are now, with a little room for the clock's words. To find anything, and help, are two controls of every page.
 */
import type { Calm } from './visitor';

export const CALM: Readonly<Record<string, Calm>> = {
  panel: { height: 1000, words: 150, controls: 28 },
  piece: { height: 1000, words: 110, controls: 24 },
  bench: { height: 1375, words: 175, controls: 22 },
  pieces: { height: 1305, words: 150, controls: 27 },
  'new piece': { height: 1800, words: 200, controls: 41 },
  'run sheet': { height: 1950, words: 250, controls: 38 },
  'key-in sheet': { height: 2150, words: 385, controls: 30 },
  'a firing planned': { height: 2300, words: 290, controls: 45 },
  'at the kiln': { height: 1580, words: 210, controls: 19 },
  notebook: { height: 1700, words: 340, controls: 22 },
  firing: { height: 2350, words: 350, controls: 27 },
  shelves: { height: 1400, words: 175, controls: 37 },
  settings: { height: 800, words: 80, controls: 17 },
  help: { height: 850, words: 110, controls: 17 },
  glass: { height: 1620, words: 140, controls: 40 },
  mould: { height: 4500, words: 450, controls: 72 },
};
