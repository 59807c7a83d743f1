import { bodyFigures, mainGlass } from '../../body/body';
import { type Holes, heldHead, mostDrained, workToDrain } from '../../flow/drain';
import { found, refused } from '../../problem';
import { formatMass, text } from '../../units/format';
import { LOOK_NAMES } from '../names';
import type { Recipe, WorkQuestion } from '../recipe';
import type { Cavity, Shaping } from '../shaping';
import { CAST, CAST_CARE, castFigures, castWork } from './cast';

/** It has to run out first, and then to fill what it has run into. */
const AIM_OVER_LEAST = 1.6;
/** Of what can run out of it. */
const LEAST_SHARE = 0.9;

type Reservoir = Extract<Shaping, { kind: 'reservoir' }>;
const through = ({ hole_m, plate_m }: Reservoir): Holes => ({ holes: 1, hole_m, plate_m });
/** The glass in the hole presses too; what is left above it is not counted on. */
const headOf = (cavity: Cavity): number => cavity.thick_m + ('plate_m' in cavity ? (cavity as Reservoir).plate_m : 0);

/** Share of the reservoir that can run into the mould at all. */
const runsOut = ({ body }: WorkQuestion, reservoir: Reservoir): number => mostDrained(mainGlass(body), bodyFigures(body), through(reservoir));

/** Heat work, 1/Pa, after which the reservoir has run into the mould. */
const workToRun = (asked: WorkQuestion, reservoir: Reservoir): number =>
  workToDrain(mainGlass(asked.body), bodyFigures(asked.body), through(reservoir), LEAST_SHARE * runsOut(asked, reservoir));

export const reservoirCast: Recipe = {
  ...CAST,
  name: LOOK_NAMES.reservoirCast,
  reaches: 'glass runs from a reservoir down into its mould',
  spares: 'no air is shut in, and the mould holds',
  byForm: true,
  aim: ({ least }) => AIM_OVER_LEAST * least,
  asks: { kind: 'reservoir', what: 'the sections of its cavity, the wall of its mould and the hole that it runs through' },
  law: "Through the hole runs πρgHr⁴W/(8(b + 3πr/8)) (Poiseuille with Sampson's mouth), the head H falling as the reservoir empties; corners fill to γ/(ρgh).",
  work(asked) {
    const filling = castWork(asked, 'casting from a reservoir', headOf);
    if (!filling.ok || asked.shaping?.kind !== 'reservoir') return filling;
    const { max_m } = bodyFigures(asked.body).depth;
    if (heldHead(mainGlass(asked.body), asked.shaping.hole_m) > max_m + asked.shaping.plate_m) {
      return refused(
        'impossible',
        'setup.shaping.hole_m',
        'A hole so narrow holds the glass back by its own skin, whatever the heat. Take a wider hole or more glass.',
      );
    }
    const runs = workToRun(asked, asked.shaping);
    const least = Math.max(filling.value.least, runs);
    return found({ least, most: Math.max(filling.value.most, 4 * least) });
  },
  tells(asked, work_perPa, units) {
    const figures = castFigures(asked, work_perPa, units, headOf);
    if (asked.shaping?.kind !== 'reservoir') return figures;
    const times = work_perPa / workToRun(asked, asked.shaping);
    const runs = times < 1 ? 'The reservoir has not run empty by then.' : `The reservoir has run empty after ${Math.round(100 / times)} % of this heat work.`;
    const held_kg = (1 - runsOut(asked, asked.shaping)) * bodyFigures(asked.body).mass_kg;
    const held =
      held_kg > 0 ? ` Its hole holds ${text(formatMass(held_kg, units.mass))} back for good, however hot: lay so much more, or take a wider hole.` : '';
    return figures.map((one) => ({ ...one, sentence: `${one.sentence} ${runs}${held}` }));
  },
  usuallyOn: 'inInvestment',
  drawn: {
    glass: 'M22 4 H50 L46 10 H26 Z M34.2 12 L35 22 H37 L37.8 12 Z M24 24 H48 L46 33 H26 Z',
    form: 'M14 36 V2 H20 L25 11.4 H33 V18 H22.4 L24.6 34.4 H47.4 L49.6 18 H39 V11.4 H47 L52 2 H58 V36 Z',
  },
  looksLike: {
    early: 'glass is still in the reservoir and sags towards its hole',
    right: 'the reservoir is empty but for a film, glass stands level in the vents',
    late: 'the film has crept down and hazes, glass runs out of a vent or a crack',
  },
  care: `Vents let the air out where the mould is highest, or it stays in as a hole. ${CAST_CARE}`,
};
