/** What the map of thickness holds is what was laid, whether it is placed or only said to cover a share. */
import type { Footprint } from '../body/footprint';
import { type MappedLayer, layerVolume, thicknessMap } from './thickness';

const plaque: Footprint = { shape: 'rectangle', width_m: 0.2, length_m: 0.15 };
const base: MappedLayer = { depth_m: 0.003 };
const disc = { id: 'p', x_m: 0.03, y_m: -0.02, turned_deg: 0, outline: { shape: 'disc', diameter_m: 0.05 } as const };

test.each<[string, MappedLayer]>([
  ['a sheet', { depth_m: 0.003 }],
  ['pieces that cover a fifth, nobody knows where', { depth_m: 0.004, cover: 0.2 }],
  ['the same with their share still told, placed', { depth_m: 0.004, cover: 0.2, placed: [disc, { ...disc, id: 'q', x_m: -0.04 }] }],
  ['a cap that stands out over the rim', { depth_m: 0.003, overhang_m: 0.005 }],
])('%s: the cells sum to its volume', (_, layer) => {
  const [volume_m3, alone_m3] = [[base, layer], [base]].map((layers) => thicknessMap(plaque, layers).volume_m3);
  expect((volume_m3 - alone_m3) / layerVolume(layer, plaque)).toBeCloseTo(1, 2);
  expect(alone_m3 / layerVolume(base, plaque)).toBeCloseTo(1, 6);
});
