/** Follows stress by the full model through a simulation, free to bow, held flat, or both. */
import { ROOM_C } from '../units/physical';
import { diffusivity, restrainedStress } from '../glass/constants';
import { type PlateState, type PlateStress, type Residual, plateStress } from '../stress/plate';
import type { Drive } from './drive';
import type { SegmentFigures } from './figures';
import { hottestSegment } from './regimes';
import type { SimulationInput, SimulationResult } from './simulation';
import type { Mesh } from './stack';

interface Setting {
  /** Greatest difference through the depth while it sets, K. */
  through_K: number;
  /** Degrees and seconds it took over them. */
  fallen_K: number;
  took_s: number;
  kept_Pa: number;
}

export interface StressRecorderState {
  plates: PlateState[] | null;
  setting: Setting;
}

type Answer = Pick<SimulationResult, 'residual' | 'residualFlat' | 'bow_perM' | 'estimates'>;

const greatest = (stress_Pa: Float64Array): number => stress_Pa.reduce((most, one) => Math.max(most, one), 0);

export function stressRecorder(input: SimulationInput, mesh: Mesh, temperature: Float64Array, drive: Drive, running: { rate: number; through: number }) {
  const { glass } = input;
  const support = input.stress?.support ?? 'free';
  const { glassFrom, glassTo } = mesh;
  const height_m = mesh.height_m.subarray(glassFrom, glassTo + 1);
  const inGlass = temperature.subarray(glassFrom, glassTo + 1);
  const depth_m = height_m[height_m.length - 1] - height_m[0];
  const from = input.stress?.from === 'hottest' && !input.curve ? hottestSegment(input.segments, input.start_C) + 1 : 0;
  let plates: PlateStress[] | null = null;
  /** Greatest tension so far in the segment, Pa. */
  const seen = new Float64Array(1);
  const setting: Setting = { through_K: 0, fallen_K: 0, took_s: 0, kept_Pa: 0 };

  const start = (): PlateStress[] =>
    (support === 'both' ? (['free', 'flat'] as const) : [support]).map((one) => plateStress(glass, height_m, inGlass, one, drive));

  return {
    begin(segment: number): void {
      if (segment >= from) plates ??= start();
      seen[0] = 0;
    },
    step(sets: boolean): void {
      if (plates === null) return;
      for (let i = 0; i < plates.length; i += 1) plates[i].step();
      if (plates[0].tension_Pa > seen[0]) seen[0] = plates[0].tension_Pa;
      if (sets) {
        if (running.through > setting.through_K) setting.through_K = running.through;
        setting.fallen_K -= running.rate * drive.dt_s;
        setting.took_s += drive.dt_s;
      }
    },
    end(figures: SegmentFigures): void {
      if (plates === null) return;
      const kept = greatest(plates[0].residual(ROOM_C).stress_Pa);
      figures.stress_max_Pa = seen[0];
      figures.stressKept_Pa = kept;
      figures.stressGained_Pa = kept - setting.kept_Pa;
      setting.kept_Pa = kept;
    },
    residual(): Answer {
      if (plates === null) return {};
      const residuals: Residual[] = plates.map((plate) => plate.residual(ROOM_C));
      const profile = ({ stress_Pa }: Residual) => Array.from(stress_Pa, (stress, i) => ({ z_m: height_m[i] - height_m[0], stress_Pa: stress }));
      const rate = setting.took_s > 0 ? setting.fallen_K / setting.took_s : 0;
      return {
        residual: profile(residuals[0]),
        ...(residuals[1] ? { residualFlat: profile(residuals[1]) } : {}),
        bow_perM: residuals[0].curvature_perM,
        estimates: [
          { formula: 'EαΔT', stress_Pa: restrainedStress(glass, setting.through_K) * (1 - glass.poisson) },
          { formula: 'EαΔT/(1−ν)', stress_Pa: restrainedStress(glass, setting.through_K) },
          { formula: 'EαRL²/(24κ(1−ν))', stress_Pa: restrainedStress(glass, (rate * depth_m ** 2) / (24 * diffusivity(glass))) },
        ],
      };
    },
    save: (): StressRecorderState => ({ plates: plates?.map((plate) => plate.save()) ?? null, setting: { ...setting } }),
    restore(state: StressRecorderState): void {
      if (state.plates) {
        plates = start();
        state.plates.forEach((saved, i) => plates?.[i].restore(saved));
      }
      Object.assign(setting, state.setting);
    },
  };
}
