/** What a simulation tells of each segment and along time. */

/** Figures of one segment; each greatest is over this segment alone. */
export interface SegmentFigures {
  end_s: number;
  /** Core–surface through the depth, K. */
  deltaT_max_K: number;
  deltaT_end_K: number;
  /** Through plus across, K, at the segment's end. */
  spread_end_K: number;
  /**
   * Greatest tension while brittle, Pa: the elastic tension of the profile, free to bow, plus the held share of its straight
   * part, plus the differences across and from thick to thin, each at its greatest, by EαΔT/(1−ν). Heating: per sheet where sheets are loose.
   * Cooling: below the range where differences set.
   */
  tension_max_Pa: number;
  /** Greatest through plus across, K, while heating past brittle. */
  spread_climbing_K: number;
  /** The same while cooling through the range where a difference sets for good. */
  spread_setting_K: number;
  /** Heat work at the glass's mean temperature, at its underside and at its top face, 1/Pa. */
  heatWork_perPa: number;
  heatWorkUnder_perPa: number;
  heatWorkTop_perPa: number;
  /** Work done while heating as far as the rim is open, 1/Pa. */
  squeezeWork_perPa: number;
  /** Share of the relief left at the segment's end, 1 before the firing; null where no parts are followed. */
  reliefLeft: number | null;
  /** Seconds of haze at its worst that this segment is worth. */
  haze_s: number;
  /** Time that a coating can lift in: heating, from where stress relaxes to where glass sticks, s. */
  coating_s: number;
  /** Stress relaxation times G·∫dt/η passed since the body last became even to within evenWithin_K. */
  relaxations: number;
  /** Greatest tension by the full model during the segment, Pa; null where stress is not followed. */
  stress_max_Pa: number | null;
  /** Tension that would stay if the body were cooled evenly from the segment's end, Pa, and what the segment added to it. */
  stressKept_Pa: number | null;
  stressGained_Pa: number | null;
  /** What the kiln at its best made over the whole ramp, on the mean, where it could not follow the asked rate, °C/h; else null. */
  kilnBest_C_per_h: number | null;
  /** Glass at the segment's end: mean and coldest depth. */
  glassEnd_C: number;
  glassColdestEnd_C: number;
}

export interface Series {
  t_s: number[];
  kiln_C: number[];
  skin_C: number[];
  core_C: number[];
  /** Index into the arrays above at which each segment's ramp ends and its hold ends. */
  joints: { rampEnd: number; holdEnd: number }[];
}

export const emptyFigures = (): SegmentFigures => ({
  end_s: 0,
  deltaT_max_K: 0,
  deltaT_end_K: 0,
  spread_end_K: 0,
  tension_max_Pa: 0,
  spread_climbing_K: 0,
  spread_setting_K: 0,
  heatWork_perPa: 0,
  heatWorkUnder_perPa: 0,
  heatWorkTop_perPa: 0,
  squeezeWork_perPa: 0,
  reliefLeft: null,
  haze_s: 0,
  coating_s: 0,
  relaxations: 0,
  stress_max_Pa: null,
  stressKept_Pa: null,
  stressGained_Pa: null,
  kilnBest_C_per_h: null,
  glassEnd_C: 0,
  glassColdestEnd_C: 0,
});

export const emptySeries = (): Series => ({ t_s: [], kiln_C: [], skin_C: [], core_C: [], joints: [] });

export const copyOf = (series: Series): Series => ({
  t_s: series.t_s.slice(),
  kiln_C: series.kiln_C.slice(),
  skin_C: series.skin_C.slice(),
  core_C: series.core_C.slice(),
  joints: series.joints.map((joint) => ({ ...joint })),
});
