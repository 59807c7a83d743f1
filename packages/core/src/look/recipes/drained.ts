/** What a grid and a pot share: glass that runs out through holes and comes to rest below. */
import { bodyFigures, mainGlass, naturalDepth } from '../../body/body';
import { type Holes, drainedShare, heldHead, mostDrained, openRadius, workToDrain } from '../../flow/drain';
import type { WorkRange } from '../../flow/heatWork';
import { type Outcome, found, refused } from '../../problem';
import type { Units } from '../../units/convert';
import { formatLength, formatMass, text } from '../../units/format';
import { MELT_FLAWS } from '../flaws';
import type { OwnFigure, Puddle, Recipe, WorkQuestion } from '../recipe';

/** Of what can run out: nobody waits for the last of it. */
const LEAST_SHARE = 0.85;
const MOST_OVER_LEAST = 4;
const AIM_OVER_LEAST = 1.3;

/** A film this deep clings to the floor of what held it, m, whatever the heat. */
const CLINGS_M = 0.001;

/** Share of the filling that is below after some heat work. */
function runShare(asked: WorkQuestion, through: Holes, work_perPa: number): number {
  const filling = fillingOf(asked);
  const most = Math.max(0, 1 - (CLINGS_M * filling.area_m2) / filling.volume_m3);
  return Math.min(most, drainedShare(mainGlass(asked.body), filling, through, work_perPa));
}

const fillingOf = ({ body }: WorkQuestion) => {
  const { volume_m3, area_m2 } = bodyFigures(body);
  return { volume_m3, area_m2 };
};

export function drainWork(asked: WorkQuestion, name: string): Outcome<WorkRange> {
  const { body, shaping } = asked;
  if (shaping?.kind !== 'drain') return refused('missing', 'setup.shaping', `A ${name} needs its holes: how many, how wide, through how thick a floor.`);
  const glass = mainGlass(body);
  const head_m = bodyFigures(body).depth.max_m;
  if (heldHead(glass, shaping.hole_m) > head_m + shaping.plate_m) {
    return refused(
      'impossible',
      'setup.shaping.hole_m',
      'Holes so narrow hold the glass back by its own skin, whatever the heat. Take wider holes or more glass.',
    );
  }
  const { area_m2 } = fillingOf(asked);
  if (shaping.holes * Math.PI * (shaping.hole_m / 2) ** 2 > area_m2) {
    return refused('impossible', 'setup.shaping.holes', 'So many holes so wide have more area than the floor they are in.');
  }
  const least = workToDrain(glass, fillingOf(asked), shaping, LEAST_SHARE * mostDrained(glass, fillingOf(asked), shaping));
  return found({ least, most: MOST_OVER_LEAST * least });
}

const drainAim = ({ least }: WorkRange): number => AIM_OVER_LEAST * least;

/** Below: it spreads until it rests, or fills what it runs into. */
function drainPuddle(asked: WorkQuestion, work_perPa: number): Puddle | null {
  const { body, shaping } = asked;
  if (shaping?.kind !== 'drain') return null;
  const run_m3 = runShare(asked, shaping, work_perPa) * fillingOf(asked).volume_m3;
  const rest_m = naturalDepth(mainGlass(body));
  const within_m2 = shaping.collects_m === undefined ? Infinity : (Math.PI * shaping.collects_m ** 2) / 4;
  const depth_m = Math.max(rest_m, run_m3 / within_m2);
  return { width_m: 2 * Math.sqrt(run_m3 / (Math.PI * depth_m)), depth_m };
}

function drainFigures(asked: WorkQuestion, work_perPa: number, { length, mass }: Units): OwnFigure[] {
  const { body, shaping } = asked;
  const puddle = drainPuddle(asked, work_perPa);
  if (shaping?.kind !== 'drain' || puddle === null) return [];
  const share = runShare(asked, shaping, work_perPa);
  const figure = String(Math.round(100 * share));
  const { mass_kg } = bodyFigures(body);
  const stays = text(formatMass((1 - share) * mass_kg, mass));
  const glass = mainGlass(body);
  const held_kg = (1 - mostDrained(glass, fillingOf(asked), shaping)) * mass_kg;
  const held =
    held_kg > 0
      ? ` Holes of ${text(formatLength(shaping.hole_m, length))} hold ${text(formatMass(held_kg, mass))} of it back for good, however hot: from ${text(formatLength(2 * openRadius(glass), length))} on they hold nothing.`
      : '';
  return [
    {
      label: 'run out',
      figure,
      unit: '%',
      sentence: `About ${text(formatMass(share * mass_kg, mass))} runs out and ${stays} stays above; below it settles about ${text(formatLength(puddle.width_m, length))} across and ${text(formatLength(puddle.depth_m, length))} deep.${held} What lies lowest runs first and ends outermost.`,
    },
  ];
}

/** All but its words, its form and how long it is held. */
export const DRAINED = {
  group: 'thick',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  byForm: true,
  flaws: MELT_FLAWS,
  uneven: 1,
  aim: drainAim,
  puddle: drainPuddle,
  tells: drainFigures,
} as const satisfies Partial<Recipe>;
