/** The engine's worker, started once and warmed up while the first screen is drawn. */
import { type Engine, type EngineCall, type Outcome, TYPICAL_FAMILIES } from '@torvin/core';
import { type Remote, wrap } from 'comlink';
import type { EngineWorker } from './worker';

let remote: Remote<EngineWorker> | null = null;

function worker(): Remote<EngineWorker> {
  remote ??= wrap<EngineWorker>(new Worker('/workers/engine.js'));
  return remote;
}

export async function compute<C extends EngineCall>(name: C, input: Parameters<Engine[C]>[0]): Promise<Outcome<ReturnType<Engine[C]>>> {
  return (await worker().call(name, input)) as Outcome<ReturnType<Engine[C]>>;
}

/** Runs a small simulation so that the first real one is already compiled. */
export function warmUp(): void {
  const [glass] = TYPICAL_FAMILIES;
  const face = { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 } as const;
  void compute('simulate', {
    glass,
    stack: [{ of: 'glass', thickness_m: 0.01 }],
    faces: { top: face, bottom: face },
    segments: [{ rate_C_per_h: 300, target_C: 800, hold_s: 600 }],
  });
}
