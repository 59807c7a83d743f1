import { BODIES } from '../bodies.testCases';
import { evaluate } from './check';
import { brokenOf } from './reading';
import { compose } from './compose';
import { type PaperAs, closedAfter, rowsWritten, segmentsWritten, unitDoubt, withRoles, writtenRows } from './written';

const F: PaperAs = { unit: 'F', rateAs: 'perHour', holdAs: 'minutes' };
const C: PaperAs = { ...F, unit: 'C' };
const row = (rate: string, target: string, hold: string) => ({ rate, target, hold });
const read = (rows: ReturnType<typeof row>[], as: PaperAs) => {
  const outcome = segmentsWritten(rows, as);
  if (!outcome.ok) throw new Error(`${outcome.problem.path}: ${outcome.problem.message}`);
  return outcome.value;
};

describe('rows in the units of the paper', () => {
  test.each<[string, ReturnType<typeof row>, PaperAs, { rate_C_per_h: number | null; target_C: number; hold_s: number }]>([
    ['degrees of Fahrenheit an hour', row('270', '1067', '30'), F, { rate_C_per_h: 150, target_C: 575, hold_s: 1800 }],
    ['its own unit stands above the paper’s', row('150 C/h', '575 °C', '0:30'), F, { rate_C_per_h: 150, target_C: 575, hold_s: 1800 }],
    ['degrees a minute', row('2.5', '575', '90 min'), { ...C, rateAs: 'perMinute' }, { rate_C_per_h: 150, target_C: 575, hold_s: 5400 }],
    ['minutes to the target', row('222', '575', '0'), { ...C, rateAs: 'minutes' }, { rate_C_per_h: 150, target_C: 575, hold_s: 0 }],
    ['full speed in words', row('AFAP', '1450F', '10'), C, { rate_C_per_h: null, target_C: 787.8, hold_s: 600 }],
    ['full speed by a figure', row('9999', '1450', ''), F, { rate_C_per_h: null, target_C: 787.8, hold_s: 0 }],
    ['nothing for a rate', row('', '1450', '1h30'), F, { rate_C_per_h: null, target_C: 787.8, hold_s: 5400 }],
    ['holds in hours', row('150', '575', '1.5'), { ...C, holdAs: 'hours' }, { rate_C_per_h: 150, target_C: 575, hold_s: 5400 }],
    ['holds with a point', row('150', '575', '1.30'), { ...C, holdAs: 'point' }, { rate_C_per_h: 150, target_C: 575, hold_s: 5400 }],
    ['a decimal comma', row('2,5', '575', '1,5 h'), { ...C, rateAs: 'perMinute' }, { rate_C_per_h: 150, target_C: 575, hold_s: 5400 }],
  ])('%s', (_, written, as, wanted) => {
    const [segment] = read([written], as);
    if (wanted.rate_C_per_h === null) expect(segment.rate_C_per_h).toBeNull();
    else expect(segment.rate_C_per_h).toBeCloseTo(wanted.rate_C_per_h, 6);
    expect(segment.target_C).toBeCloseTo(wanted.target_C, 1);
    expect(segment.hold_s).toBeCloseTo(wanted.hold_s, 6);
  });

  test.each<[string, ReturnType<typeof row>, string]>([
    ['no target', row('200', '', '10'), 'rows.0.target'],
    ['words for a target', row('200', 'hot', '10'), 'rows.0.target'],
    ['hotter than any kiln', row('200', '7800', '10'), 'rows.0.target'],
    ['a rate of nothing', row('0', '780', '10'), 'rows.0.rate'],
    ['words for a rate', row('slowly', '780', '10'), 'rows.0.rate'],
    ['a hold that is none', row('200', '780', 'a while'), 'rows.0.hold'],
  ])('refuses %s, at its place', (_, written, path) => {
    const outcome = segmentsWritten([written], C);
    expect(outcome).toMatchObject({ ok: false, problem: { path, message: expect.stringMatching(/\w{3}.*\.$/) } });
  });

  test('none at all is refused', () => expect(segmentsWritten([], C).ok).toBe(false));

  test('a paper read in the wrong unit raises a doubt, one in the right unit none', () => {
    const paper = [row('400', '1100', '0'), row('600', '1480', '10'), row('', '960', '60')];
    expect(unitDoubt(read(paper, C), C)).toMatch(/1480.*°F/);
    expect(unitDoubt(read(paper, F), F)).toBe('');
    const other = [row('200', '790', '10')];
    expect(unitDoubt(read(other, F), F)).toMatch(/790.*°C/);
    expect(unitDoubt(read(other, C), C)).toBe('');
  });
});

describe('pasted lines', () => {
  const wanted = [row('300', '1225', '30'), row('full', '1480', '10')];
  test.each<[string, string[][]]>([
    [
      'cells',
      [
        ['300', '1225', '30'],
        ['full', '1480', '10'],
      ],
    ],
    [
      'cells with a number, what it is for, and a heading',
      [
        ['segment', 'purpose', 'rate_F_per_h', 'target_F', 'hold_min'],
        ['1', 'Squeeze', '300', '1225', '30'],
        ['2', 'Work', '', '1480', '10'],
      ],
    ],
    ['lines of figures', [['300 1225 30'], ['full 1480 10']]],
    ['numbered lines', [['My fuse'], ['1. 300 1225 30'], ['2. AFAP 1480 10']]],
  ])('%s', (_, lines) => expect(writtenRows(lines)).toEqual(wanted));

  test('sentences: what says what it is goes there, in whatever order', () => {
    const rows = writtenRows([
      ['Segment 1: 300°F/hr to 1225°F, hold 30 min'],
      ['Step 2 - as fast as possible to 1480 F hold 10 minutes'],
      ['3) to 960°F at 9999 hold 1h 30min'],
    ]);
    expect(read(rows, F).map(({ hold_s }) => hold_s / 60)).toEqual([30, 10, 90]);
    expect(read(rows, F).map(({ rate_C_per_h }) => rate_C_per_h && Math.round(rate_C_per_h * 1.8))).toEqual([300, null, null]);
    expect(read(rows, F).map(({ target_C }) => Math.round(target_C * 1.8 + 32))).toEqual([1225, 1480, 960]);
  });

  test('no more rows than a schedule can have', () => expect(writtenRows(Array.from({ length: 90 }, () => ['200 500 0']))).toHaveLength(30));
});

test.each(BODIES.slice(0, 12))('%s: written out in either unit and read again it is the same firing', (_, firing) => {
  const plan = compose(firing);
  if (!plan.ok) throw new Error(plan.problem.message);
  for (const as of [C, F]) {
    const segments = withRoles(read(rowsWritten(plan.value.segments, as.unit), as), firing);
    const closed = closedAfter(segments, firing);
    expect(closed.closes).toBe(false);
    const judged = evaluate(firing, segments);
    expect(brokenOf(judged.readings).length).toBeLessThanOrEqual(brokenOf(plan.value.evaluation.readings).length);
    expect(Math.abs(judged.simulation.total_s / plan.value.evaluation.simulation.total_s - 1)).toBeLessThan(0.01);
    // A paper that stops at the last controlled cool is followed until it may be opened.
    const stops = closedAfter(segments.slice(0, -1), firing);
    expect(stops.closes).toBe(true);
    expect(stops.segments).toHaveLength(segments.length);
  }
});

test('each segment is told what it is for by where it stands', () => {
  const written = [
    { rate_C_per_h: 150, target_C: 560, hold_s: 0 },
    { rate_C_per_h: 150, target_C: 650, hold_s: 1800 },
    { rate_C_per_h: 300, target_C: 790, hold_s: 600 },
    { rate_C_per_h: null, target_C: 515, hold_s: 3600 },
    { rate_C_per_h: 60, target_C: 420, hold_s: 0 },
    { rate_C_per_h: 90, target_C: 370, hold_s: 0 },
    { rate_C_per_h: null, target_C: 60, hold_s: 0 },
  ];
  const rolesFor = (name: string): string[] => withRoles(written, BODIES.find(([one]) => one === name)![1]).map(({ role }) => role);
  expect(rolesFor('two sheets, full fuse')).toEqual(['warmUp', 'squeeze', 'work', 'drop', 'firstCool', 'secondCool', 'lastCool']);
  // One solid lets no air out; clay neither squeezes nor soaks.
  expect(rolesFor('a bowl, 300 by 50 mm')).toEqual(['warmUp', 'warmUp', 'work', 'drop', 'firstCool', 'secondCool', 'lastCool']);
  const [clay] = BODIES.find(([, { look }]) => look === 'bisque')!;
  expect(rolesFor(clay)).toEqual(['warmUp', 'warmUp', 'work', 'firstCool', 'lastCool', 'lastCool', 'lastCool']);
});
