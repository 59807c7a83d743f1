/** A form reads each figure in the unit in which it was written, whatever the studio changes to while it is open. */
import { type Units, METRIC } from '@torvin/core/units';
import {
  type AnyRecord,
  EMPTY_SHELVES,
  type Field,
  type Figure,
  type RecordOf,
  SHELF_KINDS,
  type ShelfKind,
  type Studio,
  entryOfRecord,
  beginRecord,
  figureRange,
  isAsked,
  kindOf,
  readEntry,
  valueAt,
  written,
} from '@torvin/schema';
import { type QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { makeQueryClient } from '@/data/queries';
import { keys } from '@/outside/keys';
import { withFakeServer } from '@/test/fakeServer';
import { RecordScreen } from './RecordScreen';

jest.mock('expo-router', () => ({
  useRouter: () => ({ canGoBack: () => true, back: () => undefined, replace: () => undefined }),
  usePathname: () => '/shelves/glasses',
  useNavigation: () => ({ getState: () => ({ routes: [] }) }),
  Link: () => null,
}));

const METRIC_STUDIO: Studio = { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'light', csv: 'comma' };
const INCH_STUDIO: Studio = { ...METRIC_STUDIO, temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz' };
const OUNCES_ALONE: Studio = { ...METRIC_STUDIO, massUnit: 'oz' };
const unitsOf = ({ temperatureUnit, lengthUnit, massUnit }: Studio): Units => ({ temperature: temperatureUnit, length: lengthUnit, mass: massUnit });

class Keeping {
  readonly saved: AnyRecord[] = [];
  answer(url: string, init?: RequestInit): { status: number; body: unknown } {
    if (init?.method !== 'PUT') return { status: 200, body: /uses|made/.test(url) ? [] : {} };
    const record = JSON.parse(String(init.body)) as AnyRecord;
    this.saved.push(record);
    return { status: 200, body: { ...record, version: record.version + 1 } };
  }
}
const at = withFakeServer(() => new Keeping());

let named = 0;
/** One of a kind, its figures with digits that no form writes. */
function recordWithDigits(kind: ShelfKind): AnyRecord {
  const { fields, change } = kindOf(kind);
  const blank = beginRecord(kind, '0190a000-0000-7000-8000-000000000001', (of) => `${of} ${(named += 1)}`, Date.UTC(2026, 10, 1));
  const begun = { ...blank, ...('name' in blank ? { name: 'One' } : {}), version: 3 } as AnyRecord;
  return fields.reduce<AnyRecord>((record, field) => {
    const now = valueAt(record, field.key);
    if (field.as !== 'figure' || typeof now !== 'number' || Number.isInteger(now)) return record;
    const finer = { ...record, [field.key]: now * 1.000000123 } as AnyRecord;
    return change.safeParse(finer).success ? finer : record;
  }, begun);
}

const open = (kind: ShelfKind, record: AnyRecord, client: QueryClient): void =>
  void render(
    <QueryClientProvider client={client}>
      <RecordScreen kind={kind} record={record as RecordOf<ShelfKind>} shelves={{ ...EMPTY_SHELVES, [kind]: [record] }} />
    </QueryClientProvider>,
  );
function clientIn(studio: Studio): QueryClient {
  const client = makeQueryClient();
  client.setQueryData(keys.studio, studio);
  client.setQueryData(keys.madeUses, []);
  return client;
}
function studioIs(client: QueryClient, studio: Studio): void {
  act(() => void client.setQueryData(keys.studio, studio));
}
async function save(): Promise<AnyRecord | undefined> {
  await act(async () => {
    fireEvent.click(screen.getByTestId('save-record'));
    await jest.advanceTimersByTimeAsync(1000);
  });
  return at.current.saved.at(-1);
}

const hasUnit = (field: Field): field is Figure => field.as === 'figure' && field.of.unit(METRIC) !== field.of.unit(unitsOf(INCH_STUDIO));
const switches = [
  ['metric', METRIC_STUDIO, INCH_STUDIO],
  ['inches, ounces and °F', INCH_STUDIO, METRIC_STUDIO],
] as const;

test('there are figures of every unit among the kinds', () => {
  const units = new Set(
    SHELF_KINDS.flatMap((kind) =>
      kindOf(kind)
        .fields.filter(hasUnit)
        .map((field) => field.of.unit(METRIC)),
    ),
  );
  expect([...units].sort()).toEqual(['g', 'g/m²', 'mm', '°C', '°C/h']);
});

/** Words for as many of a kind's figures as go together, in the units of the form. */
function typedInto(kind: ShelfKind, record: AnyRecord, units: Units): { typed: Record<string, string>; wanted: AnyRecord } {
  const { fields, schema } = kindOf(kind);
  const entry = entryOfRecord(fields, record, units);
  const read = (typed: Record<string, string>) => readEntry(kindOf(kind), record, { ...entry, ...typed }, units);
  let typed: Record<string, string> = {};
  for (const field of fields.filter(hasUnit).filter((one) => isAsked(one, entry))) {
    const now = valueAt(record, field.key);
    const range = figureRange(schema, field.key);
    for (const share of [0.1, 0.3, 0.6]) {
      const value = typeof now === 'number' && now !== 0 ? now * (1 + share / 3) : range ? range.least + share * (range.most - range.least) : 1;
      const next = { ...typed, [field.key]: written(field.of.shown(value, units)) };
      if (!read(next).ok) continue;
      typed = next;
      break;
    }
  }
  const outcome = read(typed);
  if (!outcome.ok) throw new Error(outcome.faults.map(({ path, message }) => `${path}: ${message}`).join(' '));
  return { typed, wanted: outcome.record as AnyRecord };
}

describe.each(SHELF_KINDS.map((kind) => [kind]))('%s', (kind) => {
  // The other way round for the kind that has the most figures.
  test.each(kind === 'forms' ? switches : switches.slice(0, 1))(
    'typed in %s and saved after the studio went over: each figure means its own unit, all else keeps its digits',
    async (_, before, after) => {
      const record = recordWithDigits(kind);
      const client = clientIn(before);
      const { typed, wanted } = typedInto(kind, record, unitsOf(before));
      if (kindOf(kind).fields.some(hasUnit)) expect(Object.keys(typed).length).toBeGreaterThan(0);
      open(kind, record, client);
      for (const fold of document.querySelectorAll('[data-testid^="fold-"][aria-expanded="false"]')) fireEvent.click(fold);
      for (const field of kindOf(kind).fields)
        if (typed[field.key] !== undefined) fireEvent.change(screen.getByTestId(field.testID), { target: { value: typed[field.key] } });
      studioIs(client, after);
      expect(await save()).toEqual(wanted);
    },
  );

  test('an untouched one follows the studio, and is saved as it was', async () => {
    const record = recordWithDigits(kind);
    const client = clientIn(METRIC_STUDIO);
    open(kind, record, client);
    studioIs(client, INCH_STUDIO);
    const saved = await save();
    expect(saved).toBeDefined();
    for (const field of kindOf(kind).fields)
      if (field.as === 'figure') expect([field.key, valueAt(saved as AnyRecord, field.key)]).toEqual([field.key, valueAt(record, field.key)]);
  });
});

test('1 kg typed in grams stays 1 kg when the studio goes over to ounces, also by way of a draft', async () => {
  const record = { ...recordWithDigits('forms'), new_kg: 2 } as AnyRecord;
  const client = clientIn(METRIC_STUDIO);
  open('forms', record, client);
  fireEvent.click(screen.getByTestId('fold-wears'));
  fireEvent.change(screen.getByTestId('figure-now_kg'), { target: { value: '1000' } });
  studioIs(client, OUNCES_ALONE);
  expect((screen.getByTestId('figure-now_kg') as HTMLInputElement).value).toBe('1000');
  // Left without a save, and opened again in the other unit.
  cleanup();
  open('forms', record, client);
  act(() => void fireEvent.click(screen.getByTestId('take-draft')));
  const saved = (await save()) as RecordOf<'forms'> | undefined;
  expect(saved?.now_kg).toBe(1);
  expect(saved?.new_kg).toBe(2);
});
