/** How a controller counts, in words and beside its figures. */
import type { KeyedSegment, PanelRow } from './keyIn';
import { type FigureKind, figuresOf } from './panel';
import { type Controller, type Profile, profileOf, shownHold } from './profile';

const RATES = (unit: string): Record<Profile['rateAs'], string> => ({
  perHour: `Rate in °${unit} an hour`,
  perMinute: `Rate in °${unit} a minute`,
  minutes: 'For a rate the minutes to the target',
});
const HOLDS: Record<Profile['holdAs'], string> = {
  minutes: 'hold in minutes',
  point: 'hold in hours and minutes, 2.30 being two and a half hours',
  colon: 'hold in hours and minutes, 2:30 being two and a half hours',
};

/** Hours and minutes, not a share of an hour: 0.21 is 21 minutes. */
const HOLD_UNITS: Record<Profile['holdAs'], string> = { minutes: 'min', point: 'h.min', colon: 'h:min' };

export function countsWords(controller: Controller): string {
  const { unit, rateAs, holdAs, order, fullSpeedCode: up, fullSpeedDownCode: down } = profileOf(controller);
  const codes = up === down ? `${up} means as fast as it can` : `${up} means as fast as it can on the way up, ${down} on the way down`;
  return `${RATES(unit)[rateAs]}, ${HOLDS[holdAs]}; ${codes}.${order === 'targetFirst' ? ' It asks for the target first.' : ''}`;
}

/** The figures of a keyed segment in the order in which they are asked for, each with its unit where it has one. */
export function figuresKeyed(
  row: Pick<KeyedSegment, 'rate' | 'target' | 'hold_min' | 'fullSpeed'>,
  controller: Controller,
): { kind: FigureKind; figure: string; unit: string }[] {
  const profile = profileOf(controller);
  const rateUnit = { perHour: '°/h', perMinute: '°/min', minutes: 'min' }[profile.rateAs];
  const told = {
    rate: { figure: String(row.rate), unit: row.fullSpeed ? '' : rateUnit },
    target: { figure: String(row.target), unit: `°${profile.unit}` },
    hold: { figure: shownHold(row.hold_min, profile.holdAs), unit: HOLD_UNITS[profile.holdAs] },
  };
  return figuresOf(profile).map((kind) => ({ kind, ...told[kind] }));
}

/** 'rate 200 · target 560 · hold 0', in the order in which it asks. */
export function rowWords({ rate, target, hold_min }: PanelRow, controller: Controller, units = false): string {
  const profile = profileOf(controller);
  const fullSpeed = rate === profile.fullSpeedCode || rate === profile.fullSpeedDownCode;
  return figuresKeyed({ rate, target, hold_min, fullSpeed }, controller)
    .map(({ kind, figure, unit }) => `${kind} ${figure}${units && unit !== '' ? ` ${unit}` : ''}`)
    .join(' · ');
}

/** A controller in a few words, beside its name. */
export function profileWords(controller: Controller): string {
  const { mostSegments, unit, rateAs, rates: few, programs } = profileOf(controller);
  const rates = { perHour: `°${unit} an hour`, perMinute: `°${unit} a minute`, minutes: `°${unit}, ways in minutes` }[rateAs];
  return [`${mostSegments} segments`, rates, ...(few ? [`only ${few.join(', ')}`] : []), ...(programs > 1 ? [`${programs} programs`] : [])].join(', ');
}
