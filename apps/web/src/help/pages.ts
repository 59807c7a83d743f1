/** What each page is for, by its address: the first that fits is shown. Terms are those of docs/glossary.md. */

export interface HelpPage {
  /** Fits the path of its page, without what stands behind '?'. */
  at: RegExp;
  title: string;
  /** What the page is for, in a sentence or two. */
  what: string;
  /** Where its figures come from. */
  figures: string;
  terms: readonly string[];
  /** Where more stands: a paper, and a heading in it. */
  more: readonly { doc: string; heading: string }[];
}

export const HELP_PAGES: readonly HelpPage[] = [
  {
    at: /^\/kiln\/opening/,
    title: 'Record results',
    what: 'The pieces of one load, one after the other: how each came out, a picture, what can be seen and where, what was measured.',
    figures: 'A result counts for the next plan of its kind, and for what the kiln has taught. A measured depth and a cone say more than the eye.',
    terms: ['record', 'check'],
    more: [{ doc: 'features', heading: 'Notebook' }],
  },
  {
    at: /^\/notebook\/[^/]+\/series/,
    title: 'Test series',
    what: 'Firings that differ in one thing: where the result changes from short to too far, and which trial teaches most next. Kept under a name, plans of its kind are held against it.',
    figures: 'Each result counts with the error of the eye; one in twenty is taken to tell nothing. What was fired before does not count.',
    terms: ['heat work', 'estimate'],
    more: [
      { doc: 'features', heading: 'Notebook' },
      { doc: 'model', heading: 'Learning' },
    ],
  },
  {
    at: /^\/notebook\/[^/]+\/next/,
    title: 'Next time',
    what: 'The next schedule after a result that was not right, and likely causes of its faults. One figure changes, all else stays as it ran.',
    figures: 'It aims between what fell short and what went too far. The chance counts the firings of its kind, and what is usual.',
    terms: ['heat work', 'limit', 'estimate'],
    more: [
      { doc: 'features', heading: 'Notebook' },
      { doc: 'model', heading: 'Learning' },
    ],
  },
  {
    at: /^\/bench\/load/,
    title: 'One load',
    what: 'Several pieces for one kiln and one schedule for all of them. It shows who sets each figure, who is not right in it, and where each finds room. On the shelf pieces are dragged, stepped and turned.',
    figures:
      'Each piece is calculated by itself, then under the schedule of all. That goes by whoever needs most. Hours of other loads are estimates. What is free round a piece, and how places differ, is of the kiln’s record.',
    terms: ['load', 'heat work', 'limit', 'estimate'],
    more: [
      { doc: 'features', heading: 'Bench' },
      { doc: 'model', heading: 'Loads' },
    ],
  },
  {
    at: /^\/bench/,
    title: 'Bench',
    what: 'What is in each kiln and what comes next. A row leads to the page where it is done.',
    figures: 'Temperatures are calculated from the schedule and the start, or from readings where there are some.',
    terms: ['estimate', 'check', 'record'],
    more: [{ doc: 'features', heading: 'Bench' }],
  },
  {
    at: /^\/pieces\/new/,
    title: 'New piece',
    what: 'Its name, its outline and the glass it begins with. A length may be typed in any unit: 24 cm, 9 1/2 in.',
    figures: 'The outline and the thickness typed here are what every schedule goes by.',
    terms: ['lay-up', 'family'],
    more: [{ doc: 'features', heading: 'Pieces' }],
  },
  {
    at: /^\/pieces\/[^/]+\/fire/,
    title: 'Plan a firing',
    what: 'What the piece should become, what it lies on, and the kiln. Everything has a usual value; hours stand beside the button.',
    figures: 'The schedule is calculated for this body, set-up and kiln: the fastest that keeps every limit.',
    terms: ['set-up', 'release', 'limit', 'heat work'],
    more: [
      { doc: 'features', heading: 'Firings' },
      { doc: 'schedules', heading: 'What each body gets' },
      { doc: 'model', heading: 'Schedules' },
    ],
  },
  {
    at: /^\/pieces\/[^/]+\/run/,
    title: 'Run sheet',
    what: 'The schedule, time running down. A row opens to say why it is so; a bead is dragged or stepped, and all that follows answers.',
    figures: 'Skin and core are calculated through the thickness; stress from the cooling through the annealing range. Stress is an estimate.',
    terms: ['annealing point, strain point, softening point', 'squeeze', 'heat work', 'core–surface difference', 'hottest–coldest difference', 'limit'],
    more: [
      { doc: 'features', heading: 'Run sheet' },
      { doc: 'model', heading: 'Heat' },
      { doc: 'model', heading: 'Stress' },
    ],
  },
  {
    at: /^\/pieces\/[^/]+\/key-in/,
    title: 'Key in',
    what: 'The schedule as this controller counts it, row by row. Tick each row, let the controller show it, read it back, then start.',
    figures: 'Figures are rounded as the controller rounds. What rounding changes in the glass is calculated and said.',
    terms: ['check', 'limit'],
    more: [{ doc: 'features', heading: 'Firings' }],
  },
  {
    at: /^\/pieces\/[^/]+\/given/,
    title: 'A schedule from elsewhere',
    what: 'Type it, paste it or take a file. It is judged for this piece before it is used.',
    figures: 'It is run through the same simulation as a calculated one.',
    terms: ['limit'],
    more: [{ doc: 'formats', heading: 'A schedule' }],
  },
  {
    at: /^\/pieces\/[^/]+\/(record|plan|print|edit)/,
    title: 'A piece',
    what: 'One part of the piece: its outline, its plan from above, its print or the result of a firing.',
    figures: 'Sizes are as typed; what firings did to them is calculated.',
    terms: ['plan', 'record'],
    more: [{ doc: 'features', heading: 'From above' }],
  },
  {
    at: /^\/pieces\/.+/,
    title: 'A piece',
    what: 'The piece and its steps. The button at the bottom is what comes next; rows hold the rest and say their verdict closed.',
    figures: 'Thickness, mass and the drawing after each step are calculated from its layers and firings.',
    terms: ['lay-up', 'body', 'look', 'plan'],
    more: [
      { doc: 'features', heading: 'The journey of a piece' },
      { doc: 'model', heading: 'Body' },
      { doc: 'model', heading: 'Fit' },
    ],
  },
  {
    at: /^\/pieces/,
    title: 'Pieces',
    what: 'All pieces, the last changed first. Search by name or tag; finished, archived and patterns have lists of their own.',
    figures: 'Each drawing is the piece as it is now, to scale across, its thickness drawn larger.',
    terms: ['remove, undo, archive, restore'],
    more: [{ doc: 'features', heading: 'Pieces' }],
  },
  {
    at: /^\/kiln\/(rehearsal|practice)/,
    title: 'Rehearsal and practice',
    what: 'A controller and a kiln that are simulated: to try a program, or to learn the keys, with nothing at stake.',
    figures: 'The controller behaves as its record on Shelves says; the kiln as its record says.',
    terms: ['check'],
    more: [{ doc: 'features', heading: 'Kiln' }],
  },
  {
    at: /^\/kiln/,
    title: 'Kiln',
    what: 'The running firing in full, with what to do at it and when. Cautions of a hot kiln stand here in full.',
    figures: 'Estimated from the schedule and the start; readings are shown beside it where there are some.',
    terms: ['estimate', 'check'],
    more: [{ doc: 'features', heading: 'Kiln' }],
  },
  {
    at: /^\/notebook\/.+/,
    title: 'A firing',
    what: 'What was planned, what ran and how it came out. The record can be completed and corrected later.',
    figures: 'What ran is calculated again where it differed from the plan. What the kiln has taught comes from results and readings.',
    terms: ['record', 'heat work'],
    more: [
      { doc: 'features', heading: 'Notebook' },
      { doc: 'model', heading: 'Learning' },
    ],
  },
  {
    at: /^\/notebook/,
    title: 'Notebook',
    what: 'All firings, the newest first. Filter shows only what occurs, with counts.',
    figures: 'The temperature is the hottest that ran, with its hold.',
    terms: ['record'],
    more: [{ doc: 'features', heading: 'Notebook' }],
  },
  {
    at: /^\/shelves\/.+/,
    title: 'A record',
    what: 'What the studio knows of one glass, mould, kiln or other thing. Schedules made before keep the figures they were made with.',
    figures: 'Typical figures ship with Torvin and are marked so: enter those of your maker’s sheet where you have it.',
    terms: ['family', 'release', 'annealing point, strain point, softening point'],
    more: [
      { doc: 'model', heading: 'Glass' },
      { doc: 'features', heading: 'Moulds, formers and release' },
    ],
  },
  {
    at: /^\/shelves/,
    title: 'Shelves',
    what: 'What the studio has, a shelf for each kind. Everything is calculated from these.',
    figures: 'As entered; typical where a row says so.',
    terms: ['family', 'release'],
    more: [{ doc: 'features', heading: 'Moulds, formers and release' }],
  },
  {
    at: /^\/start/,
    title: 'Welcome',
    what: 'Six short questions, so that the first schedule fits your kiln and glass. Any of them can be left, and changed later.',
    figures: 'What you leave is usual: a small kiln of middling strength, a controller that holds 8 segments.',
    terms: ['family', 'release'],
    more: [{ doc: 'features', heading: 'Around it all' }],
  },
  {
    at: /^\/settings/,
    title: 'Settings',
    what: 'What holds for the whole studio or for this device. Units change how figures are written, never what was entered.',
    figures: 'They are what you choose. Stored figures stay as they were entered.',
    terms: ['import'],
    more: [
      { doc: 'features', heading: 'Around it all' },
      { doc: 'formats', heading: 'A backup' },
    ],
  },
];

export const helpFor = (path: string): HelpPage | null => HELP_PAGES.find(({ at }) => at.test(path)) ?? null;
