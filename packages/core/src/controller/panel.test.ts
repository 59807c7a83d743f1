import { celsiusFrom, differenceIn } from '../units/convert';
import { type PanelRow, keyIn, segmentsKeyed } from './keyIn';
import { type Key, type Panel, figuresOf, keysFor, newPanel, pressed, shown } from './panel';
import { type Controller, holdMeant, impossibleController, profileOf, shownHold } from './profile';
import { chanceOf, randomSchedule } from './random.testCases';
import { TYPICAL_CONTROLLERS } from './typical';

const SCHEDULES = 200;
const rowsOf = (segments: ReturnType<typeof randomSchedule>, controller: Controller): PanelRow[] =>
  keyIn(segments, controller).rows.map(({ rate, target, hold_min }) => ({ rate, target, hold_min }));
const all = (panel: Panel, keys: readonly Key[]): Panel =>
  keys.reduce((now, key) => {
    const next = pressed(now, key);
    if (next.refused) throw new Error(`'${key}' at ${JSON.stringify(now.place)} with '${now.typed}': ${next.refused}`);
    return next;
  }, panel);
/** What the display shows from the first figure to the last, as rows. */
function reviewed(panel: Panel, slot: number): PanelRow[] {
  const { holdAs } = panel.profile;
  let now = all(panel, ['program', ...([...String(slot)] as Key[]), 'review']);
  const rows: PanelRow[] = [];
  while (now.place.kind === 'review') {
    const row: Partial<PanelRow> = {};
    for (const figure of figuresOf(now.profile)) {
      const text = shown(now).figure;
      if (figure === 'hold') row.hold_min = holdMeant(text, holdAs)!;
      else row[figure] = Number(text);
      now = pressed(now, 'enter');
    }
    rows.push(row as PanelRow);
  }
  return rows;
}

describe.each(TYPICAL_CONTROLLERS)('$name', (controller) => {
  const profile = profileOf(controller);
  const slot = profile.builtIn + 1;
  const schedules = Array.from({ length: SCHEDULES }, (_, seed) => randomSchedule(chanceOf(seed + 1), Math.min(profile.mostSegments, 8)));

  test('can be', () => expect(impossibleController(controller)).toBeNull());

  test(`${SCHEDULES} schedules keyed by its own prompts, over one another, stand in it as keyed and are shown so`, () => {
    let panel = newPanel(controller);
    for (const segments of schedules) {
      const rows = rowsOf(segments, controller);
      panel = all(panel, keysFor(rows, slot, controller));
      expect(panel.programs[slot]).toEqual(rows);
      expect(panel.place).toEqual({ kind: 'resting' });
      expect(reviewed(panel, slot)).toEqual(rows);
    }
  });

  test('what it runs is what was planned, but for the rounding that is stated', () => {
    for (const segments of schedules) {
      const keyed = keyIn(segments, controller);
      const run = segmentsKeyed(segments, keyed, controller);
      const refused = keyed.remarks.some(({ kind }) => kind === 'cannot');
      expect(run).toHaveLength(segments.length);
      run.forEach((one, i) => {
        const planned = segments[i];
        expect(Math.abs(differenceIn(one.target_C - planned.target_C, profile.unit))).toBeLessThanOrEqual(profile.targetStep / 2 + 1e-6);
        expect(Math.abs(one.hold_s - planned.hold_s)).toBeLessThanOrEqual(30);
        if (planned.rate_C_per_h === null) return expect(one.rate_C_per_h).toBeNull();
        // Never faster, but where the way itself was rounded; much slower only where that is told.
        if (!refused && profile.rateAs !== 'minutes') expect(one.rate_C_per_h!).toBeLessThanOrEqual(planned.rate_C_per_h * (1 + 1e-6));
        const told = keyed.remarks.some(({ message }) => message.startsWith(`Segment ${i + 1}`));
        if (!told) expect(one.rate_C_per_h!).toBeGreaterThan(planned.rate_C_per_h * 0.93);
      });
    }
  });
});

describe('the panel', () => {
  const [box, counting, dial, timer] = TYPICAL_CONTROLLERS;
  const hours = { ...box, programs: 6, builtIn: 2 };
  const typed = (panel: Panel, text: string): Panel => [...text].reduce((now, one) => pressed(now, /\d/.test(one) ? (one as Key) : 'mark'), panel);
  const begun = (controller: Controller, slot: number, programs: Panel['programs'] = {}): Panel =>
    all(newPanel(controller, programs), ['program', String(slot) as Key, 'enter']);

  test('shows what an older program has there and takes it where nothing is keyed', () => {
    const old = { 3: [{ rate: 200, target: 560, hold_min: 10 }] };
    const panel = begun(hours, 3, old);
    expect(shown(panel)).toEqual({ asks: 'How fast', figure: '200', isOld: true, segment: 1 });
    const next = all(panel, ['enter', '5', '4', '0', 'enter', 'enter', 'done']);
    expect(next.programs[3]).toEqual([{ rate: 200, target: 540, hold_min: 10 }]);
    // One that shows none of it has nought there, which is no rate.
    expect(pressed(all(begun(dial, 5, { 5: old[3] }), []), 'enter').refused).toBe('');
    expect(shown(begun(dial, 5, { 5: old[3] }))).toMatchObject({ asks: 'How hot', figure: '0', isOld: false });
  });

  test.each<[string, () => Panel, RegExp]>([
    ['a program that came with it', () => pressed(all(newPanel(hours), ['program', '2']), 'enter'), /came with it/],
    ['a program that it does not have', () => pressed(all(newPanel(hours), ['program', '7']), 'enter'), /1 to 6/],
    ['more segments than it holds', () => pressed(typed(begun(counting, 1), '13'), 'enter'), /1 to 12/],
    ['a rate between its range and its code', () => pressed(typed(begun(hours, 3), '2001'), 'enter'), /1 to 2000, or 4000/],
    ['a target above its top', () => pressed(typed(all(typed(begun(hours, 3), '200'), ['enter']), '1301'), 'enter'), /no more than 1300 °C/],
    ['a target between its steps', () => pressed(typed(begun(timer, 1), '562'), 'enter'), /steps of 5/],
    [
      'seventy minutes after the colon',
      () => pressed(typed(all(typed(all(typed(begun(timer, 1), '560'), ['enter']), '30'), ['enter']), '1:70'), 'enter'),
      /no time/,
    ],
    [
      'a hold longer than its longest',
      () => pressed(typed(all(typed(all(typed(begun(hours, 3), '200'), ['enter']), '560'), ['enter']), '1000'), 'enter'),
      /longest hold is 999/,
    ],
    ['an end in the middle of a segment', () => pressed(all(typed(begun(hours, 3), '200'), ['enter']), 'done'), /where a further segment/],
    ['an end before the first segment', () => pressed(begun(hours, 3), 'done'), /where a further segment/],
    ['a mark where minutes are keyed', () => pressed(all(typed(all(typed(begun(hours, 3), '200'), ['enter']), '560'), ['enter', '1']), 'mark'), /Digits alone/],
    ['digits before a program is chosen', () => pressed(newPanel(hours), '1'), /Choose a program/],
    ['a look at an empty program', () => pressed(all(newPanel(hours), ['program', '3']), 'review'), /program that it holds/],
  ])('refuses %s and stays where it is', (_, after, words) => expect(after().refused).toMatch(words));

  test('goes back a figure at a time, and loses nothing that was keyed before', () => {
    const there = all(typed(all(typed(begun(hours, 3), '200'), ['enter']), '560'), ['enter']);
    const back = all(there, ['back', 'back']);
    expect(back.place).toEqual({ kind: 'figure', slot: 3, row: 0, figure: 'rate' });
    const mended = all(typed(back, '220'), ['enter', ...(['5', '6', '0'] as Key[]), 'enter', '0', 'enter', 'done']);
    expect(mended.programs[3]).toEqual([{ rate: 220, target: 560, hold_min: 0 }]);
  });

  test('gone back to, shows what was keyed there and takes it again; what is ended before is not in the program', () => {
    const two = all(newPanel(hours), keysFor([{ rate: 200, target: 560, hold_min: 10 }], 3, hours).slice(0, -1));
    const begunTwo = all(typed(two, '290'), ['enter']);
    const back = all(begunTwo, ['back', 'back', 'back']);
    expect(shown(back)).toEqual({ asks: 'How hot', figure: '560', isOld: false, segment: 1 });
    const on = all(back, ['enter', 'enter']);
    expect(shown(on)).toMatchObject({ figure: '290', segment: 2 });
    expect(all(on, ['done']).programs[3]).toEqual([{ rate: 200, target: 560, hold_min: 10 }]);
  });

  test('keeps a shorter program alone: what the older one had behind it is gone', () => {
    const rows = (count: number): PanelRow[] => Array.from({ length: count }, (_, i) => ({ rate: 100, target: 500 + i, hold_min: i }));
    const first = all(newPanel(hours), keysFor(rows(6), 3, hours));
    expect(all(first, keysFor(rows(2), 3, hours)).programs[3]).toEqual(rows(2));
  });
});

describe('a controller that cannot be', () => {
  const plain: Controller = { unit: 'C', fullSpeedCode: 4000, mostSegments: 8 };
  test.each<[string, Partial<Controller>, string]>([
    ['one segment', { mostSegments: 1 }, 'mostSegments'],
    ['an empty range of rates', { leastRate: 500, mostRate: 100 }, 'mostRate'],
    ['a step wider than its range', { mostRate: 50, rateStep: 60 }, 'rateStep'],
    ['a code among its rates', { mostRate: 9000 }, 'fullSpeedCode'],
    ['a code for down among its rates', { fullSpeedDownCode: 100 }, 'fullSpeedDownCode'],
    ['a code that ends the program', { fullSpeedCode: 0, ends: 'zero' }, 'fullSpeedCode'],
    ['no time to hold', { mostHold_s: 30 }, 'mostHold_s'],
    ['a hold longer than its digits', { holdAs: 'point', mostHold_s: 100 * 3600 }, 'mostHold_s'],
    ['programs that all came with it', { programs: 3, builtIn: 3 }, 'builtIn'],
  ])('is refused at its field: %s', (_, more, path) => {
    expect(impossibleController({ ...plain, ...more })).toMatchObject({ path, message: expect.stringMatching(/\w{3}.*\.$/) });
  });

  test('one from before there were profiles can be, whatever its code', () => {
    for (const fullSpeedCode of [1500, 4000, 7200, 9999, 99999]) expect(impossibleController({ ...plain, fullSpeedCode })).toBeNull();
    expect(profileOf(plain)).toMatchObject({
      rateAs: 'perHour',
      leastRate: 1,
      mostRate: 3999,
      holdAs: 'minutes',
      order: 'rateFirst',
      ends: 'done',
      programs: 1,
    });
  });
});

test('holds are shown and read in each form', () => {
  for (const minutes of [0, 1, 59, 60, 61, 150, 1439]) {
    for (const as of ['minutes', 'point', 'colon'] as const) expect(holdMeant(shownHold(minutes, as), as)).toBe(minutes);
  }
  expect([shownHold(150, 'minutes'), shownHold(150, 'point'), shownHold(65, 'colon')]).toEqual(['150', '2.30', '1:05']);
  // 2.3 could be 2.30 or 2.03; 30 alone is hours on such a display.
  expect([holdMeant('2.3', 'point'), holdMeant('1:70', 'colon'), holdMeant('30', 'point'), holdMeant('1.30', 'minutes')]).toEqual([null, null, 1800, null]);
});

test('a way timed in minutes is as fast as it was planned, and says where it cannot be', () => {
  const [, , , timer] = TYPICAL_CONTROLLERS;
  const [row] = keyIn([{ rate_C_per_h: 180, target_C: 560, hold_s: 0 }], timer).rows;
  expect(row).toMatchObject({ rate: 180, target: 560, fullSpeed: false });
  const slow = keyIn(
    [
      { rate_C_per_h: 300, target_C: 520, hold_s: 0 },
      { rate_C_per_h: 0.5, target_C: 420, hold_s: 0 },
    ],
    timer,
  );
  expect(slow.remarks).toEqual([{ kind: 'cannot', message: expect.stringMatching(/^Segment 2 takes 12000 minutes/) }]);
  expect(celsiusFrom(slow.rows[1].target, 'C')).toBe(420);
});

test('a program of one segment at the controller’s own rate asks for no rate', () => {
  const [, counting] = TYPICAL_CONTROLLERS;
  const press = (panel: Panel, keys: string): Panel =>
    [...keys].reduce((one, key) => pressed(one, key === '>' ? 'enter' : (key as Key)), pressed(panel, 'program'));
  const asked = press(newPanel(counting), '0>');
  expect(shown(asked).asks).toBe('How hot');
  const kept = press(newPanel(counting), '0>1000>130>');
  expect(kept.refused).not.toBe('');
  const keyed = pressed(pressed(press(newPanel(counting), '0>1000>1'), 'mark'), '3');
  const stored = pressed(pressed(keyed, '0'), 'enter');
  expect(stored.programs[0]).toEqual([{ rate: 270, target: 1000, hold_min: 90 }]);
  const hours = { ...TYPICAL_CONTROLLERS[0], programs: 6 };
  expect(press(newPanel(hours), '0>').refused).toMatch(/programs 1 to 6\.$/);
});
