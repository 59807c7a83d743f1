import type { DrawnBody } from '@torvin/core/piece';
import { tellsNothing } from './tellsNothing';

const sheet = { name: 'Clear', colour: '#cfe6dc', thickness_m: 0.003 };
const body = (layers: DrawnBody['layers'], more: Partial<DrawnBody> = {}): DrawnBody => ({
  ...{ footprint: { shape: 'disc', diameter_m: 0.2 }, layers, bent: null, ran: null },
  ...more,
});

test('even sheets tell nothing from the side; parts, grains, a bend, a puddle and nothing at all do', () => {
  expect(tellsNothing(body([sheet, sheet]))).toBe(true);
  expect(tellsNothing(body([sheet, { ...sheet, form: 'pieces', cover: 0.2, count: 4 }]))).toBe(false);
  expect(tellsNothing(body([sheet, { ...sheet, cover: 0.5 }]))).toBe(false);
  expect(tellsNothing(body([{ ...sheet, form: 'frit' }]))).toBe(false);
  expect(tellsNothing(body([sheet], { bent: { shaping: { kind: 'hollow', span_m: 0.2, depth_m: 0.04 }, down_m: 0.04 } }))).toBe(false);
  expect(tellsNothing(body([]))).toBe(false);
});
