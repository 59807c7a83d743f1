import { TYPICAL_FAMILIES } from '@torvin/core';
import type { Shelves } from '@torvin/schema';
import { type PieceEntry, drawable, entryOf, fieldOfPath, newEntry, pieceEntrySchema } from './pieceEntry';

const shelves: Shelves = {
  families: [...TYPICAL_FAMILIES],
  glasses: [{ id: 'clear', familyId: 'soft-90', name: 'Clear', colour: '#cfe6dc', thicknesses_m: [0.003], source: 'test' }],
  kilns: [],
  controllers: [],
};

const entry = (change: Partial<PieceEntry> = {}): PieceEntry => ({ ...newEntry(shelves), name: 'Tray', width: '12 in', length: '30 cm', ...change });

const issues = (typed: PieceEntry): Record<string, string> => {
  const outcome = pieceEntrySchema.safeParse(typed);
  return outcome.success ? {} : Object.fromEntries(outcome.error.issues.map(({ path, message }) => [path.join('.'), message]));
};

describe('a piece as typed', () => {
  test('becomes a document in metres and keeps what was typed', () => {
    const read = pieceEntrySchema.parse(entry());
    expect(read.footprint).toEqual({ shape: 'rectangle', width_m: expect.closeTo(0.3048, 9), length_m: expect.closeTo(0.3, 9) });
    expect(read.typed).toEqual({ width: '12 in', length: '30 cm' });
    expect(read.layers.map(({ thickness_m }) => thickness_m)).toEqual([0.003, 0.003]);
  });

  test('a disc needs its diameter and nothing else', () => {
    expect(issues(entry({ shape: 'disc', diameter: '300', width: 'nonsense' }))).toEqual({});
    expect(issues(entry({ shape: 'disc', diameter: '' }))).toHaveProperty('diameter');
  });

  test('says at each field what is wrong with it, all at once', () => {
    const layers = newEntry(shelves).layers.map((layer, i) => ({ ...layer, thickness: i === 0 ? '400 mm' : '3' }));
    const found = issues(entry({ name: ' ', width: 'wide', length: '0', layers }));
    expect(found.name).toMatch(/name/);
    expect(found.width).toMatch(/'wide'/);
    expect(found.length).toMatch(/from 20 mm to 2000 mm/);
    expect(found['layers.0.thickness']).toMatch(/400 mm; it must be from 1 mm to 25 mm/);
  });

  test('comes back as typed when it is opened again', () => {
    const { name, footprint, typed, layers } = pieceEntrySchema.parse(entry());
    const piece = { id: 'p', name, version: 1, createdAt: 0, updatedAt: 0, doc: { schemaVersion: 1 as const, footprint, typed, layers, steps: [] } };
    expect(entryOf(piece, shelves)).toMatchObject({ name: 'Tray', width: '12 in', length: '30 cm', familyId: 'soft-90' });
  });
});

describe('an unfinished entry', () => {
  test('is drawn as far as it can be read', () => {
    expect(drawable(entry({ width: '' }), shelves)).toMatchObject({ footprint: null, layers: [{ name: 'Clear' }, { name: 'Clear' }] });
    const half = entry({ layers: newEntry(shelves).layers.map((layer, i) => ({ ...layer, thickness: i === 0 ? '' : '3' })) });
    expect(drawable(half, shelves).layers).toHaveLength(1);
  });
});

describe('a problem from the server', () => {
  test.each([
    ['name', 'name'],
    ['doc.footprint.width_m', 'width'],
    ['doc.footprint.diameter_m', 'diameter'],
    ['doc.layers.0.glassId', 'layers'],
    ['version', 'root'],
  ])('at %s is shown at %s', (path, field) => {
    expect(fieldOfPath(path)).toBe(field);
  });
});
