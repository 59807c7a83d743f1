/** JSON as it was written before database schema 10 and piece file 2: names of figures that did not say their unit. */
const THEN: Record<string, string> = {
  ...{ deltaT_max_K: 'deltaT_max', deltaT_end_K: 'deltaT_end', spread_end_K: 'spread_end', spread_climbing_K: 'spread_climbing' },
  ...{ spread_setting_K: 'spread_setting', heatWork_perPa: 'heatWork', heatWorkUnder_perPa: 'heatWorkUnder', heatWorkTop_perPa: 'heatWorkTop' },
  ...{ squeezeWork_perPa: 'squeezeWork', work_perPa: 'work', works_perPa: 'works' },
};

export const inOldWords = (json: string): string => json.replace(/"(\w+)":/g, (name, now: string) => (now in THEN ? `"${THEN[now]}":` : name));
