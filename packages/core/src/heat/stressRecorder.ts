/** Follows stress by the full model through a simulation, free to bow, held flat, or both. */
import { ROOM_C } from '../units/physical';
import { diffusivity, restrainedStress } from '../glass/constants';
import type { BodyStress, StressState } from '../stress/bodyStress';
import { type Residual, plateStress } from '../stress/plate';
import { solidStress } from '../stress/solid';
import type { Drive } from './drive';
import type { SegmentFigures } from './figures';
import { hottestSegment } from './regimes';
import type { SimulationInput, SimulationResult } from './simulation';
import type { Mesh, Shape } from './stack';

interface Setting {
  /** Greatest difference through the depth while it sets, K. */
  through_K: number;
  /** Degrees and seconds it took over them. */
  fallen_K: number;
  took_s: number;
  kept_Pa: number;
}

export interface StressRecorderState {
  bodies: StressState[] | null;
  setting: Setting;
}

type Answer = Pick<SimulationResult, 'residual' | 'residualFlat' | 'bow_perM' | 'estimates'>;

/**
 * Tension in the middle once a body that was cooled evenly at a rate R, free of stress then, is at one temperature: of a plate of
 * depth L, both faces open, of a long cylinder and a sphere of radius r.
 */
const CLASSICAL: Record<Shape, { formula: string; share: number }> = {
  plate: { formula: 'EαRL²/(24κ(1−ν))', share: 1 / 24 },
  cylinder: { formula: 'EαRr²/(8κ(1−ν))', share: 1 / 8 },
  sphere: { formula: 'EαRr²/(15κ(1−ν))', share: 1 / 15 },
};

const greatest = (stress_Pa: Float64Array): number => stress_Pa.reduce((most, one) => Math.max(most, one), 0);

export function stressRecorder(input: SimulationInput, mesh: Mesh, temperature: Float64Array, drive: Drive, running: { rate: number; through: number }) {
  const { glass, shape = 'plate' } = input;
  const support = input.stress?.support ?? 'free';
  const { glassFrom, glassTo } = mesh;
  const height_m = mesh.height_m.subarray(glassFrom, glassTo + 1);
  const inGlass = temperature.subarray(glassFrom, glassTo + 1);
  const depth_m = height_m[height_m.length - 1] - height_m[0];
  const from = input.stress?.from === 'hottest' && !input.curve ? hottestSegment(input.segments, input.start_C) + 1 : 0;
  let bodies: BodyStress[] | null = null;
  /** Greatest tension so far in the segment, Pa. */
  const seen = new Float64Array(1);
  const setting: Setting = { through_K: 0, fallen_K: 0, took_s: 0, kept_Pa: 0 };

  const start = (): BodyStress[] =>
    shape === 'plate'
      ? (support === 'both' ? (['free', 'flat'] as const) : [support]).map((one) => plateStress(glass, height_m, inGlass, one, drive))
      : [solidStress(glass, height_m, inGlass, shape, drive)];

  return {
    begin(segment: number): void {
      if (segment >= from) bodies ??= start();
      seen[0] = 0;
    },
    step(sets: boolean): void {
      if (bodies === null) return;
      for (let i = 0; i < bodies.length; i += 1) bodies[i].step();
      if (bodies[0].tension_Pa > seen[0]) seen[0] = bodies[0].tension_Pa;
      if (sets) {
        if (running.through > setting.through_K) setting.through_K = running.through;
        setting.fallen_K -= running.rate * drive.dt_s;
        setting.took_s += drive.dt_s;
      }
    },
    end(figures: SegmentFigures): void {
      if (bodies === null) return;
      const kept = greatest(bodies[0].residual(ROOM_C).stress_Pa);
      figures.stress_max_Pa = seen[0];
      figures.stressKept_Pa = kept;
      figures.stressGained_Pa = kept - setting.kept_Pa;
      setting.kept_Pa = kept;
    },
    residual(): Answer {
      if (bodies === null) return {};
      const residuals: Residual[] = bodies.map((body) => body.residual(ROOM_C));
      // Where sheets stood apart each had a face of its own; by now they are one, and it is told once.
      const profile = ({ stress_Pa }: Residual) =>
        Array.from(stress_Pa, (stress, i) => ({ z_m: height_m[i] - height_m[0], stress_Pa: stress })).filter(({ z_m }, i, all) => z_m !== all[i - 1]?.z_m);
      const rate = setting.took_s > 0 ? setting.fallen_K / setting.took_s : 0;
      return {
        residual: profile(residuals[0]),
        ...(residuals[1] ? { residualFlat: profile(residuals[1]) } : {}),
        bow_perM: residuals[0].curvature_perM,
        estimates: [
          { formula: 'EαΔT', stress_Pa: restrainedStress(glass, setting.through_K) * (1 - glass.poisson) },
          { formula: 'EαΔT/(1−ν)', stress_Pa: restrainedStress(glass, setting.through_K) },
          { formula: CLASSICAL[shape].formula, stress_Pa: restrainedStress(glass, (CLASSICAL[shape].share * rate * depth_m ** 2) / diffusivity(glass)) },
        ],
      };
    },
    release: () => bodies?.forEach((body) => body.release?.()),
    save: (): StressRecorderState => ({ bodies: bodies?.map((body) => body.save()) ?? null, setting: { ...setting } }),
    restore(state: StressRecorderState): void {
      if (state.bodies) {
        bodies = start();
        state.bodies.forEach((saved, i) => bodies?.[i].restore(saved));
      }
      Object.assign(setting, state.setting);
    },
  };
}
