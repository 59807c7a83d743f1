/** Loads drawn at random, each piece held against its limits by the solver that shares no code with the engine's. */
import { type LoadEntry, atItsPlace, composeLoad } from '@torvin/core/load';
import { resolved, simulationOf } from '@torvin/core/schedule';
import { drawnLoad } from '../packages/core/src/load/load.testCases';
import { greatest, spelledOut } from './secondOpinion';
import { secondSolver } from './secondSolver';

/** The two solvers agree within this share of what stays, and of what differs. */
const BETWEEN_SOLVERS = 1.03;
const ABOVE_ANNEALING_K = 70;

/** With LONG=1 as fine as it usually is. */
const FINENESS = process.env.LONG ? undefined : { cells: 14, stable: 0.45, stress_s: 10 };

const SEEDS = Array.from({ length: process.env.LONG ? 30 : 3 }, (_, i) => (process.env.LONG ? i : 2 + 4 * i));

/** Every other one under another shelf, or where the kiln runs behind. */
const atPlaces = (entries: LoadEntry[]): LoadEntry[] => entries.map((entry, i) => ({ ...entry, ...(i % 2 === 0 ? { underShelf: true } : { lag_s: 240 }) }));

test.each(SEEDS.flatMap((seed) => [[seed, 'open'] as const, [seed, 'at places'] as const]))(
  'load %i, %s: no piece that is right in it keeps more stress, or differs more while it sets, than its limits',
  (seed, lies) => {
    const entries = lies === 'open' ? drawnLoad(seed) : atPlaces(drawnLoad(seed));
    const composed = composeLoad(entries);
    if (!composed.ok) throw new Error(composed.problem.message);
    const { segments, entries: judged } = composed.value;
    const drop = segments.findIndex(({ role }) => role === 'drop');
    entries.forEach((entry, i) => {
      const { simulation } = judged[i].evaluation;
      const asked = resolved(atItsPlace(entry));
      const { glass, stack, faces, kiln, ...input } = simulationOf(asked, segments, false, 'level');
      const start_C = glass.annealing_C + ABOVE_ANNEALING_K;
      const cooled = input.segments.slice(drop).map((segment, n) => {
        const at = drop + n;
        const way_K = Math.abs(input.segments[at].target_C - input.segments[at - 1].target_C);
        const took_s = simulation.segments[at].end_s - simulation.segments[at - 1].end_s - segment.hold_s;
        return { ...segment, rate_C_per_h: (3600 * way_K) / took_s };
      });
      const { residual_Pa, greatest_K } = secondSolver({ glass, stack, faces, kiln, start_C, segments: cooled }, spelledOut(glass), FINENESS);
      expect(greatest(residual_Pa)).toBeLessThan(asked.limits.residual_Pa * BETWEEN_SOLVERS);
      // The first cool: what differs across it is told apart from what differs through it.
      const across_K = (asked.acrossLag_s * cooled[1].rate_C_per_h) / 3600;
      expect(greatest_K[1] + across_K).toBeLessThan(asked.limits.setting_K * BETWEEN_SOLVERS);
    });
  },
);
