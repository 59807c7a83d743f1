import { differenceIn, kelvinFrom, temperatureIn, celsiusFrom } from '../units/convert';
import { type PanelRow, keyIn } from './keyIn';
import type { FigureKind } from './panel';
import { type Controller, profileOf, shownHold } from './profile';
import { chanceOf, randomSchedule } from './random.testCases';
import { type SlipKind, mightShow, readBack } from './readBack';
import { TYPICAL_CONTROLLERS } from './typical';

const EACH = 200;
const rowsOf = (seed: number, controller: Controller): PanelRow[] =>
  keyIn(randomSchedule(chanceOf(seed), 8), controller).rows.map(({ rate, target, hold_min }) => ({ rate, target, hold_min }));

const KEYS = { rate: 'rate', target: 'target', hold: 'hold_min' } as const;
const changed = (rows: PanelRow[], at: number, figure: FigureKind, value: number): PanelRow[] =>
  rows.map((row, i) => (i === at ? { ...row, [KEYS[figure]]: value } : row));

interface Injected {
  shown: PanelRow[];
  row: number;
  figure: FigureKind | null;
  kind: SlipKind;
  older?: PanelRow[];
}

const numeric = (value: number): string => String(value);
const swapped = (text: string, at: number): string => text.slice(0, at) + text[at + 1] + text[at] + text.slice(at + 2);

/** A slip of a kind in a program, where it can be made there; it changes a figure for certain. */
const INJECT: Record<Exclude<SlipKind, 'other'>, (rows: PanelRow[], chance: () => number, controller: Controller) => Injected | null> = {
  left: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    return rows.length > 2 ? { shown: rows.filter((_, i) => i !== row), row, figure: null, kind: 'left' } : null;
  },
  twice: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    return { shown: [...rows.slice(0, row + 1), ...rows.slice(row)], row, figure: null, kind: 'twice' };
  },
  code: (rows, chance, controller) => {
    const row = Math.floor(chance() * rows.length);
    const { fullSpeedCode, fullSpeedDownCode } = profileOf(controller);
    const isCode = [fullSpeedCode, fullSpeedDownCode].includes(rows[row].rate);
    return isCode ? null : { shown: changed(rows, row, 'rate', fullSpeedCode), row, figure: 'rate', kind: 'code' };
  },
  noCode: (rows, _, controller) => {
    const { fullSpeedCode, fullSpeedDownCode, leastRate } = profileOf(controller);
    const row = rows.findIndex(({ rate }) => rate === fullSpeedCode || rate === fullSpeedDownCode);
    return row < 0 ? null : { shown: changed(rows, row, 'rate', leastRate), row, figure: 'rate', kind: 'noCode' };
  },
  old: (rows, chance, controller) => {
    const row = Math.floor(chance() * rows.length);
    const older = rowsOf(Math.floor(1e6 * chance()), controller);
    if (!older[row] || older[row].rate === rows[row].rate) return null;
    return { shown: changed(rows, row, 'rate', older[row].rate), row, figure: 'rate', kind: 'old', older };
  },
  unit: (rows, chance, controller) => {
    const row = Math.floor(chance() * rows.length);
    const { unit } = controller;
    const other = unit === 'C' ? 'F' : 'C';
    return { shown: changed(rows, row, 'target', Math.round(temperatureIn(celsiusFrom(rows[row].target, unit), other))), row, figure: 'target', kind: 'unit' };
  },
  hours: (rows) => {
    const row = rows.findIndex(({ hold_min }) => hold_min > 0);
    return row < 0 ? null : { shown: changed(rows, row, 'hold', 60 * rows[row].hold_min), row, figure: 'hold', kind: 'hours' };
  },
  swapped: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    const text = numeric(rows[row].target);
    const at = [0, 1].find((i) => text[i] !== text[i + 1] && text[i + 1] !== undefined);
    return at === undefined ? null : { shown: changed(rows, row, 'target', Number(swapped(text, at))), row, figure: 'target', kind: 'swapped' };
  },
  dropped: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    const text = numeric(rows[row].target);
    const at = Math.floor(chance() * text.length);
    return text.length < 2
      ? null
      : { shown: changed(rows, row, 'target', Number(text.slice(0, at) + text.slice(at + 1))), row, figure: 'target', kind: 'dropped' };
  },
  added: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    const text = numeric(rows[row].target);
    return { shown: changed(rows, row, 'target', Number(text + text[text.length - 1])), row, figure: 'target', kind: 'added' };
  },
  digit: (rows, chance) => {
    const row = Math.floor(chance() * rows.length);
    const text = numeric(rows[row].target);
    const at = Math.floor(chance() * text.length);
    const next = String((Number(text[at]) + 1 + Math.floor(8 * chance())) % 10);
    return next === text[at] || (at === 0 && next === '0')
      ? null
      : { shown: changed(rows, row, 'target', Number(text.slice(0, at) + next + text.slice(at + 1))), row, figure: 'target', kind: 'digit' };
  },
};

describe.each(TYPICAL_CONTROLLERS)('$name', (controller) => {
  test(`raises nothing on ${EACH} programs that are as they should be, whatever stood there before`, () => {
    for (let seed = 1; seed <= EACH; seed += 1) {
      const rows = rowsOf(seed, controller);
      expect(
        readBack(
          rows,
          rows.map((row) => ({ ...row })),
          controller,
          rowsOf(seed + 1, controller),
        ),
      ).toEqual([]);
    }
  });

  test.each(Object.entries(INJECT))(`finds ${EACH} slips of the kind '%s', at their figure, and knows it`, (_, inject) => {
    let made = 0;
    for (let seed = 1; made < EACH; seed += 1) {
      const chance = chanceOf(7919 * seed);
      const rows = rowsOf(seed, controller);
      const injected = inject(rows, chance, controller);
      if (injected === null) continue;
      made += 1;
      const { shown, row, figure, kind, older } = injected;
      const slips = readBack(rows, shown, controller, older);
      expect(slips).toHaveLength(1);
      const [slip] = slips;
      if (figure === null) {
        // Of segments that are alike it cannot be said which one it was.
        const missed = kind === 'left' ? rows[slip.row!] : shown[slip.shownRow!];
        expect(missed).toEqual(rows[row]);
        expect(slip.kinds).toEqual([kind]);
      } else {
        expect([slip.row, slip.figure]).toEqual([row, figure]);
        expect(slip.kinds).toContain(kind);
      }
    }
  });
});

describe('a slip', () => {
  const [hours, counting] = TYPICAL_CONTROLLERS;
  const rows: PanelRow[] = [
    { rate: 200, target: 560, hold_min: 0 },
    { rate: 290, target: 790, hold_min: 18 },
    { rate: 4000, target: 515, hold_min: 130 },
  ];

  test('of two figures in one segment is two slips, not a segment left out', () => {
    const shown = rows.map((row, i) => (i === 1 ? { ...row, target: 970, hold_min: 81 } : row));
    expect(readBack(rows, shown, hours).map(({ row, figure, kinds }) => [row, figure, kinds[0]])).toEqual([
      [1, 'target', 'swapped'],
      [1, 'hold', 'swapped'],
    ]);
  });

  test('of an hour and a half typed as its digits is hours for minutes', () => {
    const shown = rows.map((row, i) => (i === 2 ? { ...row, hold_min: 90 } : row));
    expect(shownHold(90, 'point')).toBe('1.30');
    expect(readBack(rows, shown, counting)[0].kinds).toContain('hours');
  });

  test('that nothing explains is told all the same', () => {
    const shown = rows.map((row, i) => (i === 1 ? { ...row, rate: 37 } : row));
    expect(readBack(rows, shown, hours)).toEqual([{ row: 1, shownRow: 1, figure: 'rate', kinds: ['other'] }]);
  });

  test('a rate in the other unit goes by the scale alone', () => {
    const other = Math.round(differenceIn(kelvinFrom(290, 'C'), 'F'));
    const shown = rows.map((row, i) => (i === 1 ? { ...row, rate: other } : row));
    expect(readBack(rows, shown, hours)[0].kinds[0]).toBe('unit');
  });
});

test('what a segment might show has figures of the segment beside it: of the one before, of the first the one after', () => {
  const rows: PanelRow[] = [
    { rate: 100, target: 500, hold_min: 0 },
    { rate: 200, target: 600, hold_min: 25 },
    { rate: 300, target: 700, hold_min: 0 },
    { rate: 400, target: 800, hold_min: 35 },
  ];
  expect(mightShow(rows, 2)[1]).toEqual({ ...rows[2], rate: 200 });
  expect(mightShow(rows, 0)).toContainEqual({ ...rows[0], hold_min: 25 });
  // Alone it has itself ten times over.
  expect(mightShow(rows.slice(0, 1), 0).slice(1)).toEqual([
    { ...rows[0], hold_min: 10 },
    { ...rows[0], rate: 1000 },
  ]);
});

test.each(TYPICAL_CONTROLLERS)('$name: what a segment might show is three unlike ones, itself first, and each other one is found as one slip', (controller) => {
  for (let seed = 1; seed <= EACH; seed += 1) {
    const rows = rowsOf(seed, controller);
    rows.forEach((row, i) => {
      const choices = mightShow(rows, i);
      expect(choices).toHaveLength(3);
      expect(choices[0]).toEqual(row);
      expect(new Set(choices.map((one) => JSON.stringify([one.rate, one.target, one.hold_min]))).size).toBe(3);
      for (const other of choices.slice(1)) {
        const slips = readBack(
          rows,
          rows.map((one, k) => (k === i ? other : one)),
          controller,
        );
        expect(slips).toHaveLength(1);
      }
    });
  }
});
