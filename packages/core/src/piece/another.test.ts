import { anotherLike, nextName } from './another';
import type { PieceDocument } from './document';
import { asJourney, type EarlierDocument, firingsOf, laidLayers } from './journey';

test.each([
  ['Plaque no. 14', 'Plaque no. 15'],
  ['Tile 099', 'Tile 100'],
  ['Tile 007', 'Tile 008'],
  ['Bird-bath basin', 'Bird-bath basin 2'],
  ['9', '10'],
  ['Batch 99999999999999999999', 'Batch 100000000000000000000'],
  [`${'x'.repeat(79)}9`, `${'x'.repeat(78)}10`],
  ['y'.repeat(80), `${'y'.repeat(78)} 2`],
])('after %s comes %s', (name, next) => {
  expect(nextName(name)).toBe(next);
  expect(nextName(name).length).toBeLessThanOrEqual(80);
});

test('the same lay-up and firings under ids of its own, nothing of it fired; the first one stays as it was', () => {
  const step = (id: string) =>
    ({ id, look: 'fullFuse', setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c', school: { soak: 'auto', heat: 'cooler' } }) as const;
  const earlier: EarlierDocument = {
    ...{ schemaVersion: 2, footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: true, typed: { diameter: '20 cm' } },
    layers: [
      { id: 'a', glassId: 'clear', form: 'sheet', thickness_m: 0.003 },
      { id: 'b', glassId: 'rose', form: 'frit', perArea_kg_m2: 2, name: 'Grains' },
    ],
    steps: [
      { ...step('s1'), scheduleId: 'x', computedId: 'x' },
      { ...step('s2'), scheduleId: 'y', computedId: 'z' },
    ],
  };
  const doc = asJourney(earlier);
  const before = JSON.stringify(doc);
  let made = 0;
  const another = anotherLike(doc, () => `new ${(made += 1)}`, true);
  expect(another.repeats.map(({ of }) => of)).toEqual(['s1', 's2']);
  expect(firingsOf(another.doc).map(({ id, scheduleId, computedId }) => [id, scheduleId, computedId])).toEqual(
    another.repeats.map(({ stepId }) => [stepId, null, null]),
  );
  const ids = [...laidLayers(another.doc), ...another.doc.journey].map(({ id }) => id);
  expect(new Set([...ids, 'a', 'b', 's1', 's2']).size).toBe(ids.length + 4);
  const bare = (one: PieceDocument): unknown => ({ ...one, journey: laidLayers(one).map(({ id: _id, ...rest }) => rest) });
  expect(bare(another.doc)).toEqual(bare(doc));
  expect(anotherLike(doc, () => 'n', false)).toMatchObject({ repeats: [], doc: { journey: [{ kind: 'lay' }] } });
  expect(JSON.stringify(doc)).toBe(before);
});
