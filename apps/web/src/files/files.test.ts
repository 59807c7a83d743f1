import { evenSheets } from '@torvin/core/body';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, SETUPS, compose } from '@torvin/core/schedule';
import { METRIC } from '@torvin/core/units';
import { ENGINE_VERSION } from '@torvin/core/version';
import type { Piece, Schedule } from '@torvin/schema';
import Papa from 'papaparse';
import { keyInSvg } from './keyInSvg';
import { PAGE } from '@/paper/page';
import { runSheetSvg } from './runSheetSvg';
import { scheduleCsv, scheduleJson } from './scheduleFiles';

const kiln = { top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };
const firing = {
  body: {
    glasses: [TYPICAL_FAMILIES[0]],
    layers: evenSheets([{ thickness_m: 0.003 }, { thickness_m: 0.003 }]),
    footprint: { shape: 'disc', diameter_m: 0.18 } as const,
    joined: false,
  },
  setup: SETUPS.bareShelf,
  kiln,
  look: 'fullFuse' as const,
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
};
const made = compose(firing);
if (!made.ok) throw new Error(made.problem.message);
const schedule: Schedule = {
  ...{ id: 's', name: 'crisper', pieceId: 'p', stepId: 't', parentId: null, origin: 'computed', createdAt: 0 },
  segments: made.value.segments,
  result: made.value.evaluation,
  snapshot: {
    firing,
    ...{ familyName: 'Soft sheet 90', kilnName: 'Low <kiln>', layers: [], engine: ENGINE_VERSION, setup: { kind: 'bareShelf', paper: false } },
    controller: { id: 'c', name: 'Box', source: 'test', version: 1, unit: 'C', fullSpeedCode: 4000, mostSegments: 8 },
  },
};
const piece = { id: 'p', name: 'Tray & lid' } as Piece;

describe('a schedule as files', () => {
  test('in CSV has a row for each segment that any reader reads back', () => {
    const { data } = Papa.parse<Record<string, string>>(scheduleCsv(schedule, 'C', 'comma').trim(), { header: true });
    expect(data.map((row) => Number(row.target_C))).toEqual(schedule.segments.map(({ target_C }) => Math.round(target_C)));
    expect(data.map((row) => (row.rate_C_per_h === '' ? null : Number(row.rate_C_per_h)))).toEqual(schedule.segments.map(({ rate_C_per_h }) => rate_C_per_h));
    expect(Papa.parse<Record<string, string>>(scheduleCsv(schedule, 'F', 'semicolon').trim(), { header: true }).data[0]).toHaveProperty('target_F');
  });

  test('in JSON keeps every segment as it is', () => {
    expect(JSON.parse(scheduleJson(piece, schedule))).toMatchObject({
      format: 'torvin-schedule',
      piece: 'Tray & lid',
      look: 'fullFuse',
      segments: schedule.segments,
    });
  });
});

describe('the run sheet on one page', () => {
  const start = new Date(2026, 10, 23, 18, 30);
  const drawn = (of: Schedule = schedule): Document =>
    new DOMParser().parseFromString(runSheetSvg({ piece, schedule: of, series: undefined, units: METRIC, start }), 'image/svg+xml');
  const texts = (page: Document): Element[] => [...page.querySelectorAll('text')];

  test('is sound SVG, whatever stands in a name', () => {
    const page = drawn();
    expect(page.querySelector('parsererror')).toBeNull();
    expect(texts(page).map((node) => node.textContent)).toContain('Tray & lid');
  });

  test('has every figure at 11 points or more, inside its page', () => {
    for (const node of texts(drawn())) {
      expect(Number(node.getAttribute('font-size'))).toBeGreaterThanOrEqual(11);
      expect(Number(node.getAttribute('x'))).toBeLessThanOrEqual(PAGE.width);
      expect(Number(node.getAttribute('y'))).toBeLessThanOrEqual(PAGE.height);
    }
  });

  test('holds the longest schedule on the one page, each target on it', () => {
    const long = { ...schedule, segments: Array.from({ length: 20 }, (_, i) => ({ ...schedule.segments[0], target_C: 100 + i })) };
    const shown = texts(drawn(long)).map((node) => node.textContent);
    for (let i = 0; i < 20; i += 1) expect(shown).toContain(`${100 + i} °C`);
    const lowest = Math.max(...texts(drawn(long)).map((node) => Number(node.getAttribute('y'))));
    expect(lowest).toBeLessThanOrEqual(PAGE.height);
  });

  test("speaks the controller's unit, whatever the studio's, and names it", () => {
    const counts = { ...schedule.snapshot.controller, name: 'Twelve line', unit: 'F' as const };
    const shown = texts(drawn({ ...schedule, snapshot: { ...schedule.snapshot, controller: counts } })).map((node) => node.textContent ?? '');
    expect(shown.join('\n')).toMatch(/Figures in °F, as Twelve line counts\./);
    expect(shown.filter((words) => words.includes('°C'))).toEqual([]);
    for (const { target_C } of schedule.segments) expect(shown).toContain(`${Math.round(target_C * 1.8 + 32)} °F`);
  });

  test('names the piece and the version at its foot', () => {
    expect(texts(drawn()).map((node) => node.textContent)).toContain('Tray & lid · crisper');
    const { engine: _mark, ...result } = schedule.result;
    const earlier = { ...schedule, result, snapshot: { ...schedule.snapshot, engine: '3' } };
    expect(texts(drawn(earlier)).map((node) => node.textContent)).toContain('Tray & lid · crisper, engine 3');
  });
});

describe('the key-in sheet on one page', () => {
  const drawn = (of: Schedule): Element[] => [
    ...new DOMParser().parseFromString(keyInSvg({ piece, schedule: of, differences: ['The kiln has changed.'] }), 'image/svg+xml').querySelectorAll('text'),
  ];
  const counting = (unit: 'C' | 'F', count: number): Schedule => ({
    ...schedule,
    segments: Array.from({ length: count }, (_, i) => ({ ...schedule.segments[0], target_C: 100 + i })),
    snapshot: { ...schedule.snapshot, controller: { ...schedule.snapshot.controller, unit, mostSegments: 24 } },
  });

  test.each([1, 8, 24])('has %i segments in the controller’s unit, 11 points or more, one beneath the other inside the page', (count) => {
    const texts = drawn(counting('F', count));
    const words = texts.map((node) => node.textContent ?? '');
    for (let i = 0; i < count; i += 1) expect(words).toContain(String(Math.round((100 + i) * 1.8 + 32)));
    expect(words.join('\n')).not.toMatch(/°C/);
    for (const node of texts) {
      expect(Number(node.getAttribute('font-size'))).toBeGreaterThanOrEqual(11);
      expect(Number(node.getAttribute('y'))).toBeLessThanOrEqual(PAGE.height);
    }
    const numbers = texts
      .filter((node) => /^\d+$/.test(node.textContent ?? '') && node.getAttribute('x') === '36.0')
      .map((node) => Number(node.getAttribute('y')));
    expect(numbers.length).toBe(count);
    expect(numbers.every((y, i) => i === 0 || y - numbers[i - 1] >= 13)).toBe(true);
    expect(words.join('\n')).toMatch(/Out of date, fired as it is\. The kiln has changed\./);
  });
});
