/** An engine of some calculators: what a web worker and a server's worker thread offer alike. Each call takes one plain object and returns one. */
import { evenSheets } from '../body/layers';
import type { Answered, Asked, CALCULATORS, EngineCall } from './all';
import { TYPICAL_FAMILIES } from '../glass/families';
import { TYPICAL_KILN } from '../kiln/typical';
import { rememberingSimulator } from '../heat/joints';
import { DEFAULT_SCHOOL, type FiringCase } from '../schedule/firingCase';
import { DEFAULT_LIMITS } from '../schedule/limits';
import { BARE_SHELF } from '../schedule/setups';

export type Calculators = Partial<typeof CALCULATORS>;

export interface Engine {
  /** Fails with a ProblemError alone, and by an error where the calculator is none of its own. */
  call<C extends EngineCall>(name: C, input: Asked<C>): Answered<C>;
}

/** With a memory of its own, so that a run sheet under a finger simulates only from the joint that moved. calculators: may be added to. */
export function engineOf(calculators: Calculators): Engine {
  const simulate = rememberingSimulator();
  return {
    call(name, input) {
      const known = calculators[name];
      if (!known) throw new Error(`'${name}' is not read yet.`);
      const compute = known.compute as (asked: typeof input, by: typeof simulate) => Answered<typeof name>;
      return compute(input, simulate);
    },
  };
}

/** How often the warm-up moves a bead: by then the code under a dragged one is compiled for speed. */
const WARMING_MOVES = 12;

/** A small firing of everything, so that the first real call finds the code compiled. */
export function warmUp(engine: Engine): void {
  const glass = TYPICAL_FAMILIES[0];
  const sheets = evenSheets([{ thickness_m: 0.003 }, { thickness_m: 0.003 }]);
  const body = { glasses: [glass], layers: sheets, footprint: { shape: 'disc', diameter_m: 0.18 } as const, joined: false };
  const firing: FiringCase = { body, setup: BARE_SHELF, kiln: TYPICAL_KILN, look: 'fullFuse', school: DEFAULT_SCHOOL, limits: DEFAULT_LIMITS };
  const { segments } = engine.call('compose', firing);
  for (let i = 0; i < WARMING_MOVES; i += 1) {
    const moved = segments.map((segment, at) => (at === i % segments.length ? { ...segment, target_C: segment.target_C - 1 } : segment));
    engine.call('evaluate', { firing, segments: moved, series: true });
  }
}
