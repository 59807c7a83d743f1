/**
 * How a kiln controller is keyed, counts and behaves, as declared data. Three figures make a controller; all else is as it usually is
 * until somebody says otherwise, so that a record from before has a profile too.
 */
import { type Problem, refused } from '../problem';
import { ROOM_C } from '../units/physical';
import { type TemperatureUnit, differenceIn, kelvinFrom, temperatureIn } from '../units/convert';

/** perHour: degrees an hour; perMinute: degrees a minute; minutes: how long the way to the target takes. */
export const RATE_KINDS = ['perHour', 'perMinute', 'minutes'] as const;
export type RateKind = (typeof RATE_KINDS)[number];

/** minutes: 150; point: 2.30 is two hours and a half; colon: 2:30. */
export const HOLD_KINDS = ['minutes', 'point', 'colon'] as const;
export type HoldKind = (typeof HOLD_KINDS)[number];

export const KEY_ORDERS = ['rateFirst', 'targetFirst'] as const;
/**
 * done: a key of its own; zero: a segment whose first figure is nought; count: it asks for the number of segments first; hold: a last
 * segment that goes nowhere, with the longest hold that it takes.
 */
export const PROGRAM_ENDS = ['done', 'zero', 'count', 'hold'] as const;
/** goesOnIfWarm: only where the kiln has not cooled by more than 30 °C; else it stops. */
export const AFTER_CUTS = ['goesOn', 'goesOnIfWarm', 'stops'] as const;

export interface Controller {
  unit: TemperatureUnit;
  /** Keyed as the rate where the segment goes as fast as it can, up or down. */
  fullSpeedCode: number;
  /** Where it is another on the way down. */
  fullSpeedDownCode?: number;
  mostSegments: number;
  rateAs?: RateKind;
  /** In degrees of its unit an hour or a minute, or in minutes, as rateAs says. */
  leastRate?: number;
  mostRate?: number;
  rateStep?: number;
  /** Where it offers a few rates only, the least first; stand before least, most and step. */
  rates?: readonly number[];
  holdAs?: HoldKind;
  mostHold_s?: number;
  /** Degrees of its unit. */
  targetStep?: number;
  top_C?: number;
  order?: (typeof KEY_ORDERS)[number];
  ends?: (typeof PROGRAM_ENDS)[number];
  /** Shows what an older program has there, and takes it where nothing else is keyed. */
  keepsOld?: boolean;
  programs?: number;
  /** So many of them, the first, came with the kiln and take no other. */
  builtIn?: number;
  /** Rate of a program of one segment that it has beside the others, K/s; nothing where it has none. */
  preset_K_per_s?: number;
  /** Longest delay before a start, s; nothing where it has none. */
  mostDelay_s?: number;
  alarms?: boolean;
  skips?: boolean;
  /** What one press adds to a hold, s, and to a target, K; nothing where it does not. */
  addTime_s?: number;
  addDegrees_K?: number;
  reviews?: boolean;
  afterCut?: (typeof AFTER_CUTS)[number];
  /** What it asks for a rate, a target and a hold, in the studio's own words. */
  rateWords?: string;
  targetWords?: string;
  holdWords?: string;
}

type Told = 'fullSpeedDownCode' | 'rates' | 'preset_K_per_s' | 'mostDelay_s' | 'addTime_s' | 'addDegrees_K';
/** A controller with everything that is as usual filled in. */
export type Profile = Required<Omit<Controller, Exclude<Told, 'fullSpeedDownCode'>>> & Pick<Controller, Exclude<Told, 'fullSpeedDownCode'>>;

const HIGHEST_FIGURE = 9999;
const MINUTES_ASKED = 'How many minutes';
const USUAL_HOLD_S: Record<HoldKind, number> = { minutes: HIGHEST_FIGURE * 60, point: (99 * 60 + 59) * 60, colon: (99 * 60 + 59) * 60 };
const USUAL_RATE: Record<RateKind, { least: number; most: number; step: number }> = {
  perHour: { least: 1, most: HIGHEST_FIGURE, step: 1 },
  perMinute: { least: 1, most: 99, step: 1 },
  minutes: { least: 1, most: HIGHEST_FIGURE, step: 1 },
};
/** Hotter than any kiln that fires glass, °C. */
const ANY_TOP_C = 1700;

export function profileOf(controller: Controller): Profile {
  const { unit, fullSpeedCode: code, mostSegments, rateAs = 'perHour', holdAs = 'minutes', ...told } = controller;
  const usual = USUAL_RATE[rateAs];
  const { rates } = told;
  const leastRate = rates ? Math.min(...rates) : (told.leastRate ?? usual.least);
  // A code is no rate: where nothing is said of a range, it ends before the code.
  const mostRate = rates ? Math.max(...rates) : (told.mostRate ?? (code > leastRate ? Math.min(usual.most, code - (told.rateStep ?? usual.step)) : usual.most));
  return {
    ...{ unit, mostSegments, rateAs, holdAs, leastRate, mostRate },
    ...{ fullSpeedCode: code, fullSpeedDownCode: told.fullSpeedDownCode ?? code },
    rateStep: rates ? stepOf(rates) : (told.rateStep ?? usual.step),
    mostHold_s: told.mostHold_s ?? USUAL_HOLD_S[holdAs],
    targetStep: told.targetStep ?? 1,
    top_C: told.top_C ?? ANY_TOP_C,
    order: told.order ?? 'rateFirst',
    ends: told.ends ?? 'done',
    keepsOld: told.keepsOld ?? true,
    programs: told.programs ?? 1,
    builtIn: told.builtIn ?? 0,
    alarms: told.alarms ?? false,
    skips: told.skips ?? false,
    reviews: told.reviews ?? true,
    afterCut: told.afterCut ?? 'stops',
    rateWords: told.rateWords ?? (rateAs === 'minutes' ? MINUTES_ASKED : 'How fast'),
    targetWords: told.targetWords ?? 'How hot',
    holdWords: told.holdWords ?? 'How long',
    ...(rates ? { rates } : {}),
    ...('preset_K_per_s' in told ? { preset_K_per_s: told.preset_K_per_s } : {}),
    ...('mostDelay_s' in told ? { mostDelay_s: told.mostDelay_s } : {}),
    ...('addTime_s' in told ? { addTime_s: told.addTime_s } : {}),
    ...('addDegrees_K' in told ? { addDegrees_K: told.addDegrees_K } : {}),
  };
}

/** What all of a few rates are multiples of: whole, or tenths. */
const stepOf = (rates: readonly number[]): number => (rates.every(Number.isInteger) ? 1 : 0.1);

/** Most that a hold's digits can say: two of hours and two of minutes. */
const MOST_ON_A_CLOCK_S = USUAL_HOLD_S.colon;

/** Why there can be no such controller, at its field; null where there can. */
export function impossibleController(controller: Controller): Problem | null {
  const profile = profileOf(controller);
  const problem = (field: keyof Controller, message: string): Problem => refused('impossible', field, message).problem;
  const { leastRate, mostRate, rateStep, rates, mostSegments, programs, builtIn, holdAs, mostHold_s, ends } = profile;
  if (rates?.some((rate, i) => i > 0 && rate <= rates[i - 1])) return problem('rates', 'Write its rates once each, the least first, such as 50; 150; 300.');
  if (leastRate > mostRate) return problem('mostRate', `Its rates end at ${mostRate}, before they begin at ${leastRate}.`);
  if (rateStep > mostRate) return problem('rateStep', `Steps of ${rateStep} leave no rate up to ${mostRate}.`);
  for (const field of ['fullSpeedCode', 'fullSpeedDownCode'] as const) {
    const code = profile[field];
    if (rates ? rates.includes(code) : code >= leastRate && code <= mostRate)
      return problem(
        field,
        `${code} is among the rates ${rates ? rates.join(', ') : `from ${leastRate} to ${mostRate}`}: it could not be told from one. A code lies outside of them.`,
      );
    if (code === 0 && ends === 'zero' && profile.order === 'rateFirst')
      return problem(field, 'Zero ends the program of this controller, so it cannot also mean full speed.');
  }
  if (mostHold_s < 60) return problem('mostHold_s', 'Its longest hold is under the minute that it counts in.');
  if (holdAs !== 'minutes' && mostHold_s > MOST_ON_A_CLOCK_S)
    return problem('mostHold_s', 'Two digits of hours and two of minutes say 99 h 59 at most; this hold would be longer than they can.');
  if (builtIn >= programs) return problem('builtIn', `All of its ${programs} programs came with the kiln. Leave one free for yours.`);
  if (mostSegments < 2) return problem('mostSegments', 'A firing has a way up and a way down: two segments at least.');
  return null;
}

/** Rate of a figure that is no code, on a way of so many degrees of its unit, °C/h. */
function rateOf({ rateAs, unit }: Profile, figure: number, way: number): number {
  return kelvinFrom(rateAs === 'minutes' ? (60 * Math.abs(way)) / figure : rateAs === 'perMinute' ? 60 * figure : figure, unit);
}

/** Rate that a figure means on such a way, in °C/h; null where it means as fast as it can. */
export const rateMeant = (profile: Profile, figure: number, way: number): number | null =>
  figure === (way < 0 ? profile.fullSpeedDownCode : profile.fullSpeedCode) ? null : rateOf(profile, figure, way);

/** The figure that comes nearest to a rate without being faster, °C/h; it may lie outside of what can be keyed. */
export function rateFigure({ rateAs, rateStep, rates, unit }: Profile, rate_C_per_h: number, way: number): number {
  const perHour = differenceIn(rate_C_per_h, unit);
  const exact = rateAs === 'minutes' ? (60 * Math.abs(way)) / perHour : rateAs === 'perMinute' ? perHour / 60 : perHour;
  if (rates) {
    const fits = rateAs === 'minutes' ? rates.find((figure) => figure >= exact - 1e-6) : rates.findLast((figure) => figure <= exact + 1e-6);
    return fits ?? Number(exact.toFixed(6));
  }
  const steps = rateAs === 'minutes' ? Math.ceil(exact / rateStep - 1e-6) : Math.floor(exact / rateStep + 1e-6);
  return Number((steps * rateStep).toFixed(6));
}

const slowestFigure = ({ rateAs, leastRate, mostRate }: Profile): number => (rateAs === 'minutes' ? mostRate : leastRate);

/** Slowest that can be keyed, °C/h; way: in degrees of its unit, which decides where minutes are keyed. */
export const slowestKeyed = (profile: Profile, way: number): number => rateOf(profile, slowestFigure(profile), way);

/** A rate as it is keyed on a way: its figure, what that means, °C/h, and whether it is slower than any that can be keyed. */
export function keyedRate(profile: Profile, rate_C_per_h: number, way: number): { figure: number; meant_C_per_h: number; tooSlow: boolean } {
  const wanted = rateFigure(profile, rate_C_per_h, way);
  const tooSlow = profile.rateAs === 'minutes' ? wanted > profile.mostRate : wanted < profile.leastRate;
  const within = profile.rateAs === 'minutes' ? Math.max(wanted, profile.leastRate) : Math.min(wanted, profile.mostRate);
  const figure = tooSlow ? slowestFigure(profile) : within;
  return { figure, meant_C_per_h: rateOf(profile, figure, way), tooSlow };
}

export const ROOM_IN = (unit: TemperatureUnit): number => temperatureIn(ROOM_C, unit);

/** Minutes of the hold that ends a program; nothing where a program ends otherwise. */
export const endingHold = ({ ends, mostHold_s }: Profile): number | null => (ends === 'hold' ? Math.floor(mostHold_s / 60) : null);

/** A hold as the controller shows it. */
export function shownHold(hold_min: number, as: HoldKind): string {
  if (as === 'minutes') return String(hold_min);
  return `${Math.floor(hold_min / 60)}${as === 'point' ? '.' : ':'}${String(hold_min % 60).padStart(2, '0')}`;
}

/** Minutes that figures keyed for a hold mean; null where they mean nothing there. */
export function holdMeant(shown: string, as: HoldKind): number | null {
  const [whole, part, ...rest] = shown.trim().split(as === 'point' ? /[.,]/ : ':');
  if (!/^\d+$/.test(whole) || rest.length > 0) return null;
  if (as === 'minutes') return part === undefined ? Number(whole) : null;
  if (part === undefined) return 60 * Number(whole);
  // A point is followed by minutes: 2.3 is 2.30 on some displays and cannot be told from 2.03.
  if (!/^\d\d$/.test(part) || Number(part) > 59) return null;
  return 60 * Number(whole) + Number(part);
}
