import { bodyDepth } from '../../body/body';
import { found, refused } from '../../problem';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byEdge, times } from '../works';

export const strips: Recipe = {
  name: LOOK_NAMES.strips,
  group: 'thick',
  reaches: 'strips that stand on edge run into one panel',
  spares: 'their lines stay straight and sharp',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 1200, hotter: 600, least: 300, most: 3600 },
  asks: { kind: 'strips', what: 'how thick the sheet is that they are cut from' },
  law: 'Strips on edge round and close as the sheet does that they are cut from: a full fuse of its thickness, however wide they are.',
  work({ body, works, shaping }) {
    if (shaping?.kind !== 'strips') return refused('missing', 'setup.shaping', 'A strip panel needs the thickness of the sheet its strips are cut from.');
    if (shaping.sheet_m >= bodyDepth(body))
      return refused(
        'impossible',
        'setup.shaping.sheet_m',
        'Strips stand on edge only where they are cut wider than their sheet is thick; lay the panel as deep as they are wide.',
      );
    return found(times(works.fullFuse, byEdge(body, shaping.sheet_m)));
  },
  drawn: {
    glass:
      'M12 36 V16 H16.4 V36 Z M18 36 V16 H22.4 V36 Z M24 36 V16 H28.4 V36 Z M30 36 V16 H34.4 V36 Z M36 36 V16 H40.4 V36 Z M42 36 V16 H46.4 V36 Z M48 36 V16 H52.4 V36 Z M54 36 V16 H59 V36 Z',
    form: 'M4 36 V12 H10 V36 Z M61 36 V12 H67 V36 Z',
  },
  looksLike: {
    early: 'a furrow between every two strips',
    right: 'the top is one smooth plane, the lines in it straight',
    late: 'the lines bow or blur, the outer ones lean on the dam',
  },
  care: 'Strips on edge fall like dominoes until they are sealed: dam them tightly on all sides, and cut them with eye protection.',
};
