/** What was measured after a firing as it is typed, and read again. What still says what was recorded keeps its digits. */
import { CONE_TELLS_DEG, WITNESS_CONES } from '@torvin/core/learn';
import { type Outcome, found, refused } from '@torvin/core/problem';
import { FRINGE_NM } from '@torvin/core/stress';
import { LENGTH, type Measure, type Range, type Units, formatLength, plainMeasure, readFigure, text } from '@torvin/core/units';
import { MEASURED_LENGTH_M, type Measured, NOT_MEASURED, PATH_M, RETARDATION_NM } from '@torvin/schema';
import { MEASURED } from './words';

export interface MeasuredEntry {
  down: string;
  largest: string;
  thickness: string;
  cone: string;
  bent: string;
  delay: string;
  path: string;
  plain: string;
}
export type MeasuredName = keyof MeasuredEntry;

const NM = plainMeasure('nm');
const FRINGES = plainMeasure('', 1 / FRINGE_NM);
const DEGREES = plainMeasure('°');
export const CONE_RANGE = [WITNESS_CONES[0], WITNESS_CONES[WITNESS_CONES.length - 1]] as const;

export function entryOfMeasured({ down_m, largest_m, thickness_m, cone, stress, alongside_m }: Measured, { length }: Units): MeasuredEntry {
  const long = (metres: number | null | undefined): string => (metres == null ? '' : text(formatLength(metres, length)));
  return {
    ...{ down: long(down_m), largest: long(largest_m), thickness: long(thickness_m), cone: cone?.cone ?? '', bent: cone ? String(cone.bent_deg) : '' },
    ...{ delay: stress ? MEASURED.nm(stress.retardation_nm) : '', path: long(stress?.path_m), plain: long(alongside_m) },
  };
}

/** '300', '300 nm' and '0.5 fringes' are read alike. */
function readDelay(typed: string, units: Units): Outcome<number> {
  const inFringes = /fr|ord/i.test(typed);
  const bare = typed.replace(/[a-z]+\.?\s*$/i, '');
  return readFigure(bare, { of: inFringes ? FRINGES : NM, name: MEASURED.delayIt, range: RETARDATION_NM }, units);
}

/** What was typed, or why it is none, at its field. */
export function measuredOf(entry: MeasuredEntry, before: Measured, units: Units): { measured: Measured } | { fault: { field: MeasuredName; message: string } } {
  const was = entryOfMeasured(before, units);
  const faults: { field: MeasuredName; message: string }[] = [];
  function read<T>(field: MeasuredName, kept: T | undefined, reader: (typed: string) => Outcome<T>): T | null {
    const typed = entry[field].trim();
    if (typed === '') return null;
    if (kept !== undefined && entry[field] === was[field]) return kept;
    const outcome = reader(typed);
    if (outcome.ok) return outcome.value;
    faults.push({ field, message: outcome.problem.message });
    return null;
  }
  const figure =
    (of: Measure, name: string, range: Range) =>
    (typed: string): Outcome<number> =>
      readFigure(typed, { of, name, range }, units);
  const long = (field: MeasuredName, kept: number | null | undefined, name: string, range: Range = MEASURED_LENGTH_M): number | null =>
    read(field, kept ?? undefined, figure(LENGTH, name, range));
  const cone = read('cone', before.cone?.cone, (typed) => {
    const known = WITNESS_CONES.find((one) => one === typed.replace(/^cone\s*/i, ''));
    return known ? found(known) : refused('no-cone', 'cone', MEASURED.noCone(typed, ...CONE_RANGE));
  });
  const bent_deg = read('bent', before.cone?.bent_deg, figure(DEGREES, MEASURED.bentIt, { least: 0, most: 180 }));
  const retardation_nm = read('delay', before.stress?.retardation_nm, (typed) => readDelay(typed, units));
  const path_m = long('path', before.stress?.path_m, MEASURED.pathIt, PATH_M);
  const measured: Measured = {
    ...NOT_MEASURED,
    ...{ down_m: long('down', before.down_m, MEASURED.downIt), largest_m: long('largest', before.largest_m, MEASURED.largestIt) },
    ...{ thickness_m: long('thickness', before.thickness_m, MEASURED.thicknessIt), alongside_m: long('plain', before.alongside_m, MEASURED.plainIt) },
    cone: cone !== null && bent_deg !== null ? { cone, bent_deg } : null,
    stress: retardation_nm !== null && path_m !== null ? { retardation_nm, path_m } : null,
  };
  const half: [MeasuredName, MeasuredName, string][] = [
    ['cone', 'bent', MEASURED.alsoBent],
    ['bent', 'cone', MEASURED.alsoCone],
    ['delay', 'path', MEASURED.alsoPath],
    ['path', 'delay', MEASURED.alsoDelay],
    ['plain', 'delay', MEASURED.alsoDelay],
  ];
  for (const [given, missing, message] of half) if (entry[given].trim() !== '' && entry[missing].trim() === '') faults.push({ field: missing, message });
  return faults.length > 0 ? { fault: faults[0] } : { measured };
}

/** In a few words, '' where nothing was measured. */
export function measuredWords({ down_m, largest_m, thickness_m, cone, stress, alongside_m }: Measured, { length }: Units): string {
  const long = (metres: number): string => text(formatLength(metres, length));
  return [
    down_m === null ? '' : MEASURED.downSaid(long(down_m)),
    largest_m === null ? '' : MEASURED.largestSaid(long(largest_m)),
    thickness_m === null ? '' : MEASURED.thicknessSaid(long(thickness_m)),
    cone === null ? '' : MEASURED.coneSaid(cone.cone, cone.bent_deg, cone.bent_deg < CONE_TELLS_DEG.least || cone.bent_deg > CONE_TELLS_DEG.most),
    stress === null ? '' : MEASURED.stressSaid(stress.retardation_nm, long(stress.path_m), alongside_m === null ? '' : long(alongside_m)),
  ]
    .filter((words) => words !== '')
    .join(', ');
}
