/** Conversions as they are typed: anything that people write, a hold and where it is to be done, a cone. */
import type { GlassConstants } from '@torvin/core/glass';
import { type KilnConstants, TYPICAL_KILN, settledCooling, steadyHeating } from '@torvin/core/kiln';
import type { InKiln, SameWorkAsked, WrittenAsked } from '@torvin/core/quantity';
import type { Units } from '@torvin/core/units';
import { CONES, type Cone } from '@torvin/core/emptyFiring';
import type { Kiln } from '@torvin/schema';
import { type Read, type Reader, type Typed, readTyped } from './typed';

export const CONVERSIONS = ['written', 'sameWork', 'cone'] as const;
export type Conversion = (typeof CONVERSIONS)[number];
export const conversionIn = (typed: Typed): Conversion => CONVERSIONS.find((one) => one === typed.of) ?? 'written';

export const FINDS = ['hold', 'temperature'] as const;
export const findIn = (typed: Typed): (typeof FINDS)[number] => FINDS.find((one) => one === typed.find) ?? 'hold';

const AT = { least: 300, most: 1700 };
const HOLD = { least: 0, most: 7 * 24 * 3600 };
const RATE = { least: 1, most: 5000 };
/** A kiln that hardly climbs there any more still does by so much. */
const LEAST_RATE_C_PER_H = 5;

/** How a kiln comes to a temperature and goes from it where nothing is typed, °C/h. */
export function ratesOf(kiln: KilnConstants, at_C: number): Pick<InKiln, 'up_C_per_h' | 'down_C_per_h'> {
  const perHour = (perSecond: number): number => Math.min(Math.max(perSecond * 3600, LEAST_RATE_C_PER_H), RATE.most);
  return { up_C_per_h: perHour(steadyHeating(kiln, at_C)), down_C_per_h: perHour(settledCooling(kiln, at_C)) };
}

function inKiln(read: Reader, which: 'was' | 'will', kiln: Kiln | undefined, at_C: number): InKiln {
  const up_C_per_h = read.maybe(`${which}Up`, () => read.figure(`${which}Up`, 'climb', RATE));
  return { ...ratesOf(kiln ?? TYPICAL_KILN, at_C), ...(up_C_per_h === undefined ? {} : { up_C_per_h }), readsOver_K: kiln?.offset_K ?? 0 };
}

export function readWritten(typed: Typed, units: Units): Read<{ kind: 'written' } & WrittenAsked> {
  const text = (typed.text ?? '').trim();
  const tooLong = text.length > 80 ? { text: 'Write one figure with its unit.' } : undefined;
  return {
    value: text === '' || tooLong ? null : { kind: 'written', text, units },
    problems: tooLong ?? {},
    missing: text === '' ? ['figure to convert'] : [],
  };
}

export function readSameWork(typed: Typed, units: Units, glass: GlassConstants, kilns: readonly Kiln[]): Read<{ kind: 'sameWork' } & SameWorkAsked> {
  const [was, will] = ['wasKiln', 'willKiln'].map((field) => kilns.find(({ id }) => id === typed[field]));
  return readTyped(typed, units, (read) => {
    const at_C = read.figure('wasAt', 'temperature that it was', AT);
    const from = { at_C, hold_s: read.figure('wasHold', 'hold that it was', HOLD), ...inKiln(read, 'was', was, at_C) };
    if (findIn(typed) === 'hold') {
      const to_C = read.figure('willAt', 'new temperature', AT);
      return { kind: 'sameWork', glass, from, to: { find: 'hold', at_C: to_C, ...inKiln(read, 'will', will, to_C) } };
    }
    const hold_s = read.figure('willHold', 'new hold', HOLD);
    return { kind: 'sameWork', glass, from, to: { find: 'temperature', hold_s, ...inKiln(read, 'will', will, at_C) } };
  });
}

type ConeAsked = { of: 'reached'; target_C: number; rate_C_per_h: number; hold_s: number } | { of: 'bends'; cone: Cone; rate_C_per_h: number };
export const CONE_WAYS = ['reached', 'bends'] as const;
export const coneWayIn = (typed: Typed): (typeof CONE_WAYS)[number] => CONE_WAYS.find((one) => one === typed.coneWay) ?? 'reached';

export function readCone(typed: Typed, units: Units): Read<ConeAsked> {
  return readTyped(typed, units, (read): ConeAsked => {
    const rate_C_per_h = read.figure('coneRate', 'rate of the last hours', { least: 1, most: 1000 });
    if (coneWayIn(typed) === 'bends') return { of: 'bends', cone: read.choice('cone', CONES), rate_C_per_h };
    return {
      ...{ of: 'reached', rate_C_per_h, target_C: read.figure('coneAt', 'end of the climb', { least: 600, most: 1400 }) },
      hold_s: read.maybe('coneHold', () => read.figure('coneHold', 'hold', HOLD)) ?? 0,
    };
  });
}

/** The field that a refusal of the core belongs to. */
export const fieldOfConversion = (path: string): string =>
  ({ 'from.at_C': 'wasAt', 'from.hold_s': 'wasHold', 'to.at_C': 'willAt', 'to.hold_s': 'willHold', target_C: 'coneAt', rate_C_per_h: 'coneRate' })[path] ??
  path;
