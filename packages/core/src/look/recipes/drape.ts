import { bodyFigures, mainGlass } from '../../body/body';
import { deepestDrape, workToDrape } from '../../flow/sag';
import { refused } from '../../problem';
import { DRAPE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { bentWork, leftToGo, shapingAim } from './bent';

export const drape: Recipe = {
  name: LOOK_NAMES.drape,
  group: 'shaped',
  reaches: 'bends down over the former',
  spares: 'edges and surface stay as they are',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  flaws: DRAPE_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  asks: { kind: 'former', what: 'the former it hangs over' },
  law: 'An edge that stands out by l comes down at 0.375·ρgl⁴/(ηL²) (a viscous beam), twice as fast at first since it turns freely, ever more slowly as it hangs steeper; it ends 0.57 of half its thickness short of l.',
  work(asked) {
    const { body, shaping } = asked;
    if (shaping?.kind !== 'former') return refused('missing', 'setup.shaping', 'A drape needs a former: how far the blank stands out and is to come down.');
    const sheet_m = bodyFigures(body).depth.mean_m;
    if (shaping.drop_m > deepestDrape(shaping.overhang_m, sheet_m))
      return refused(
        'impossible',
        'setup.shaping.drop_m',
        'Its edge cannot come down so far: what bends over the former does not hang. Ask for less, or let it stand out further.',
      );
    const left = leftToGo(shaping.down_m, shaping.drop_m, 'drop_m');
    if (!left.ok) return left;
    const workTo = (drop_m: number): number => workToDrape(mainGlass(body), shaping.overhang_m, sheet_m, drop_m);
    return bentWork(asked, workTo(shaping.drop_m) - workTo(left.value), 'overhang_m');
  },
  aim: shapingAim,
  usuallyOn: 'overFormer',
  crown: (shaping) => (shaping.kind === 'former' ? shaping.drop_m : 0),
  drawn: { glass: 'M14 34 Q15 12 22 11 H50 Q57 12 58 34 L53.4 34 Q53 17 49 16 H23 Q19 17 18.6 34 Z', form: 'M24.6 36 V17.4 H47.4 V36 Z' },
  looksLike: {
    early: 'the edge hangs a little, the blank still lies flat on the former',
    right: 'the edge hangs where it is to hang, folds as deep as you want them',
    late: 'the edge stands on the shelf, the top thins and prints the former',
  },
  care: 'Glass over a former moves all at once. Watch it behind a face shield. Never pull it by hand without training, gloves and the power off.',
};
