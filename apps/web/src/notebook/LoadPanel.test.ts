import type { Firing, Shelves } from '@torvin/schema';
import { loadWords, readingsWords } from './LoadPanel';

const shelves = { controllers: [{ id: 'grey-box', name: 'Grey box' }] } as Shelves;
const load = (more: Partial<Firing['load']>) => ({ scheduleNumber: 1, controllerId: null, slot: null, ...more }) as Firing['load'];
const together = (...names: string[]) => names.map((pieceName) => ({ id: pieceName, pieceName }));

test('a load in a few words: what is in it, whether by one schedule, from which program', () => {
  expect(loadWords(load({}), [], shelves)).toBe('alone in the kiln');
  expect(loadWords(load({}), together('Tray'), shelves)).toBe('with Tray');
  expect(loadWords(load({ scheduleNumber: null }), together('Tray', 'Disc'), shelves)).toBe('with Tray and Disc, different schedules');
  expect(loadWords(load({ scheduleNumber: null }), [], shelves)).toBe('alone in the kiln');
  expect(loadWords(load({ controllerId: 'grey-box', slot: 3 }), together('A', 'B', 'C'), shelves)).toBe('with A, B and C; program 3 of Grey box');
  expect(loadWords(load({ controllerId: 'gone', slot: 3 }), [], undefined)).toBe('alone in the kiln; program 3');
});

test('what was read in the kiln, in the studio’s unit', () => {
  const read = (...all_C: number[]) => all_C.map((reading_C, at) => ({ channel: '', at, reading_C }));
  expect(readingsWords(read(21), 'F')).toBe('One reading from the kiln: 70 °F.');
  expect(readingsWords(read(20, 791, 300), 'C')).toBe('3 readings from the kiln, 20 °C to 791 °C.');
});
