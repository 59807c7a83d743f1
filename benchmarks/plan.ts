/** A plan of 200 parts: its map, what of it goes wrong later, and how thick it is after a full fuse, as the worker is asked for them. */
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import type { PlanAsked } from '@torvin/core/plan';
import { createEngine } from '@torvin/core/engine';
import { median, report } from './measure';

const ROUNDS = 9;
const GLASS = TYPICAL_FAMILIES[0];

/** Other arrays each time: nothing of it has been asked before. */
function planOf(count: number): PlanAsked {
  const placed = Array.from({ length: count }, (_, i) => ({
    ...{ id: String(i), x_m: -0.14 + (0.28 * ((i * 37) % count)) / count, y_m: -0.1 + (0.2 * ((i * 73) % count)) / count, turned_deg: ((i * 31) % 360) - 180 },
    outline: i % 3 === 0 ? ({ shape: 'disc', diameter_m: 0.012 } as const) : ({ shape: 'rectangle', width_m: 0.006, length_m: 0.02 } as const),
  }));
  return {
    footprint: { shape: 'rectangle', width_m: 0.3, length_m: 0.24 },
    layers: [{ depth_m: 0.003 }, { depth_m: 0.003 }, { depth_m: 0.003, placed }],
    next: { joins: true, flows: true, dammed: false, naturalDepth_m: 0.0065 },
    fired: { work_perPa: 2.7e-2, flows: true, dammed: false, glass: GLASS },
  };
}

export function measurePlan(unit_ms: number): void {
  const engine = createEngine();
  for (const count of [200, 400]) {
    const told = median(ROUNDS, () => engine.call('thickness', planOf(count)));
    const { next: _next, fired: _fired, ...bare } = planOf(count);
    const map = median(ROUNDS, () =>
      engine.call('thickness', {
        ...bare,
        layers: bare.layers.map((layer) => ({ ...layer, ...('placed' in layer ? { placed: [...(layer.placed ?? [])] } : {}) })),
      }),
    );
    report(
      `a plan of ${count} parts, map and after its firing`,
      told,
      `${count === 200 ? 'to be under 300 ms; ' : ''}${(told / unit_ms).toFixed(1)} yardsticks, ${((100 * map) / told).toFixed(0)} % of it the map as laid`,
    );
  }
}
