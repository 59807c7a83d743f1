import { FORM_MATERIALS } from '../../form/materials';
import { formatDuration, formatTemperature, text } from '../../units/format';
import type { HandStep } from '../handStep';
import { type BenchKind, HOUR_S } from './step';

interface Cleaning {
  title: string;
  /** How long it is usually left in water, s; none where it comes off dry. */
  soak_s: number;
}

const MINUTES_S = 60;

/** What is cleaned off. 'scale' is of mild steel: the documents of before stainless was told apart have it. */
export const CLEANINGS = {
  dust: { title: 'Dust and fingerprints', soak_s: 0 },
  primer: { title: 'Primer', soak_s: HOUR_S },
  nitride: { title: 'Boron nitride', soak_s: 15 * MINUTES_S },
  paper: { title: 'Fibre paper', soak_s: 10 * MINUTES_S },
  damPaper: { title: 'Paper of the dam', soak_s: 10 * MINUTES_S },
  plaster: { title: 'Plaster of the mould', soak_s: 2 * HOUR_S },
  scale: { title: 'Scale of mild steel', soak_s: 0 },
  stainlessScale: { title: 'Scale of stainless steel', soak_s: 0 },
} as const satisfies Record<string, Cleaning>;
export type CleanedOff = keyof typeof CLEANINGS;
export const CLEANED_OFF = Object.keys(CLEANINGS) as [CleanedOff, ...CleanedOff[]];

export type CleanStep = HandStep & { kind: 'clean'; off: CleanedOff; soak_s: number };

const scales = (material: 'mildSteel' | 'stainless', unit: 'C' | 'F'): string => text(formatTemperature(FORM_MATERIALS[material].scales_C, unit));

export const clean: BenchKind<CleanStep> = {
  name: 'Clean',
  usual({ left = [] }) {
    const off = left.find((one) => one !== 'haze') ?? 'dust';
    return { off, soak_s: CLEANINGS[off].soak_s };
  },
  fields: [
    {
      ...{ as: 'choice', key: 'off', label: 'What comes off', testID: 'clean' },
      options: CLEANED_OFF.map((value) => ({ value, title: CLEANINGS[value].title })),
      brings: (_step, off) => ({ soak_s: CLEANINGS[off as CleanedOff].soak_s }),
    },
    { as: 'time', key: 'soak_s', label: 'soaks', name: 'The soaking', testID: 'soak', asks: ({ off }) => CLEANINGS[off].soak_s > 0 },
  ],
  words({ off, soak_s }, { temperature }) {
    const soaked = soak_s > 0 ? `, soaked ${text(formatDuration(soak_s))}` : '';
    const from = off === 'scale' ? scales('mildSteel', temperature) : off === 'stainlessScale' ? scales('stainless', temperature) : null;
    return `${CLEANINGS[off].title.toLowerCase()}${soaked}${from ? `, which forms from ${from}` : ''}`;
  },
  caution:
    'Soak, do not scrape dry: dust of primer, plaster and paper harms the lungs. Scale of steel is sharp: gloves and eye protection. Acids by their makers’ sheets alone.',
};
