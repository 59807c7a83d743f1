import { bodyFigures, mainGlass, naturalDepth } from '../../body/body';
import { puddleRadius, workToPuddle } from '../../flow/spread';
import { found } from '../../problem';
import { formatLength, text } from '../../units/format';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Puddle, Recipe, WorkQuestion } from '../recipe';
import { MOST_OVER_LEAST } from '../works';

/** Near enough to where it would come to rest. */
const NEAR_REST = 0.95;

function discOf({ body }: Pick<WorkQuestion, 'body'>, work_perPa: number): Puddle {
  const { volume_m3 } = bodyFigures(body);
  const radius_m = puddleRadius(mainGlass(body), volume_m3, work_perPa);
  return { width_m: 2 * radius_m, depth_m: volume_m3 / (Math.PI * radius_m ** 2) };
}

export const heap: Recipe = {
  name: LOOK_NAMES.heap,
  group: 'grains',
  reaches: 'a heap sinks down and runs round into a disc',
  spares: 'it does not thin out at the rim',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 1500, hotter: 720, least: 480, most: 5400 },
  law: 'A heap of volume V runs out to 0.894·(ρgV³W/3)^(1/8) (Huppert 1982), until it is as deep as hot glass rests.',
  work({ body }) {
    const glass = mainGlass(body);
    const { volume_m3 } = bodyFigures(body);
    const least = workToPuddle(glass, volume_m3, NEAR_REST * Math.sqrt(volume_m3 / (Math.PI * naturalDepth(glass))));
    return found({ least, most: MOST_OVER_LEAST * least });
  },
  puddle: discOf,
  tells(asked, work_perPa, { length }) {
    const { width_m, depth_m } = discOf(asked, work_perPa);
    const { figure, unit } = formatLength(width_m, length);
    return [{ label: 'disc', figure, unit, sentence: `It runs out to a disc about ${figure} ${unit} across and ${text(formatLength(depth_m, length))} deep.` }];
  },
  drawn: { glass: 'M14 36 Q8 36 8 32 Q9 26 36 26 Q63 26 64 32 Q64 36 58 36 Z', lines: 'M20 26 L36 8 L52 26' },
  looksLike: {
    early: 'a hill with grains to be seen in it',
    right: 'a round cushion, smooth all over, its rim a full round',
    late: 'it lies as flat as it will: longer only brings devitrification and bubbles',
  },
  care: 'Frit is dust as well as grains: a respirator. A heap runs further than one thinks: leave room to the edge of the shelf.',
};
