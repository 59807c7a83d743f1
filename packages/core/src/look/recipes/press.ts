import { bodyFigures } from '../../body/body';
import { pressedDepth, workToPress } from '../../flow/spread';
import { found, refused } from '../../problem';
import { STANDARD_GRAVITY_m_s2 } from '../../units/physical';
import { formatLength, text } from '../../units/format';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Puddle, Recipe, WorkQuestion } from '../recipe';
import type { Shaping } from '../shaping';

const MOST_OVER_LEAST = 4;

type Press = Extract<Shaping, { kind: 'press' }>;

/** The disc under the plate: its radius once it is down on the spacers, m, how deep it was before, m, and what presses it, N. */
function pressed(body: WorkQuestion['body'], { spacer_m, plate_kg }: Press) {
  const { volume_m3, depth } = bodyFigures(body);
  return { radius_m: Math.sqrt(volume_m3 / (Math.PI * spacer_m)), from_m: depth.mean_m, force_N: plate_kg * STANDARD_GRAVITY_m_s2 };
}

function discOf(body: WorkQuestion['body'], plate: Press, work_perPa: number): Puddle {
  const { radius_m, from_m, force_N } = pressed(body, plate);
  const depth_m = Math.max(plate.spacer_m, pressedDepth(radius_m, from_m, force_N, work_perPa));
  return { width_m: 2 * Math.sqrt(bodyFigures(body).volume_m3 / (Math.PI * depth_m)), depth_m };
}

export const press: Recipe = {
  name: LOOK_NAMES.press,
  group: 'thick',
  reaches: 'a plate presses it down on to spacers',
  spares: 'it does not stick to the plate',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  byForm: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 2400, hotter: 1200, least: 600, most: 7200 },
  asks: { kind: 'press', what: 'how high the spacers are, what the plate weighs and how thick it is' },
  law: 'Pressed between plates a disc thins by ∫F dt/η = (3πR⁴/4)(1/h² − 1/h₀²) (Stefan 1874), F the weight of the plate.',
  work({ body, works, shaping }) {
    if (shaping?.kind !== 'press') return refused('missing', 'setup.shaping', 'A pressing needs the height of its spacers and the weight of its plate.');
    const { radius_m, from_m, force_N } = pressed(body, shaping);
    if (shaping.spacer_m >= from_m) {
      return refused(
        'impossible',
        'setup.shaping.spacer_m',
        'The spacers are as high as the glass is deep, or higher: the plate never comes down on it. Take lower spacers or more glass.',
      );
    }
    const flows = works.contour.least;
    const least = Math.max(flows, workToPress(radius_m, from_m, shaping.spacer_m, force_N));
    if (least > works.slabFlow.most)
      return refused(
        'too-stiff',
        'setup.shaping.plate_kg',
        'So light a plate would not press it down at any heat a shelf can take. Take a heavier plate, higher spacers or less glass.',
      );
    return found({ least, most: MOST_OVER_LEAST * least });
  },
  puddle: ({ body, shaping }, work_perPa) => (shaping?.kind === 'press' ? discOf(body, shaping, work_perPa) : null),
  tells({ body, shaping }, work_perPa, { length }) {
    if (shaping?.kind !== 'press') return [];
    const puddle = discOf(body, shaping, work_perPa);
    const down = puddle.depth_m <= shaping.spacer_m * (1 + 1e-9);
    const { figure, unit } = formatLength(puddle.depth_m, length);
    return [
      {
        label: 'pressed to',
        figure,
        unit,
        sentence: down
          ? `The plate comes down on its spacers: ${figure} ${unit} deep and about ${text(formatLength(puddle.width_m, length))} across.`
          : `The plate stops ${text(formatLength(puddle.depth_m - shaping.spacer_m, length))} above its spacers.`,
      },
    ];
  },
  drawn: {
    glass: 'M21 36 Q17 36 17 30.5 Q17 25 21 25 H51 Q55 25 55 30.5 Q55 36 51 36 Z',
    form: 'M6 24.4 V15 H66 V24.4 Z M8 36 V25.4 H13 V36 Z M59 36 V25.4 H64 V36 Z',
    lines: 'M36 3 V11 M32.5 8 L36 12 L39.5 8',
  },
  looksLike: {
    early: 'light between plate and spacers',
    right: 'the plate lies on all its spacers, glass stands out evenly round it',
    late: 'glass has run past the plate and up its edge',
  },
  care: 'Prime or line the plate as well as the shelf, and let it cool with the glass: it is heavy, hot for hours, and is never lifted warm.',
};
