/**
 * Turns a schedule into what a kiln controller is keyed with: figures of its own unit and steps, a number that means 'as fast as you
 * can', holds in its own form, and no more segments than it holds. A last switched-off segment needs no keying.
 */
import type { Segment } from '../kiln/segment';
import { celsiusFrom, differenceIn, temperatureIn } from '../units/convert';
import { type Controller, type Profile, ROOM_IN, endingHold, keyedRate, profileOf, rateFigure, rateMeant, shownHold } from './profile';

/** One segment as it stands in a controller, in its own figures. */
export interface PanelRow {
  /** Degrees an hour or a minute, or minutes, as the controller counts; the code where it goes as fast as it can. */
  rate: number;
  /** Degrees of its unit. */
  target: number;
  hold_min: number;
}

export interface KeyedSegment extends PanelRow {
  /** Index in the schedule. */
  segment: number;
  fullSpeed: boolean;
  /** It is no part of the firing: its hold ends the program. */
  ends?: true;
}

export interface KeyIn {
  rows: KeyedSegment[];
  /** The schedule ends by switching off: nothing to key for its last segment. */
  switchOff: boolean;
  /** What keying changed or cannot do, as sentences. */
  remarks: { kind: 'rounded' | 'parted' | 'cannot'; message: string }[];
}

/** Whether the last segment is the closed kiln, switched off, on its way down: no controller is told of it. */
export function switchesOff(segments: readonly Segment[]): boolean {
  const [before, last] = segments.slice(-2);
  return last !== undefined && last.rate_C_per_h === null && last.target_C < before.target_C && last.hold_s === 0;
}

/** Rounding a rate by less than this share is not spoken of. */
const SAID_FROM = 0.05;

export function keyIn(segments: readonly Segment[], controller: Controller): KeyIn {
  const profile = profileOf(controller);
  const { unit, targetStep, mostSegments } = profile;
  const switchOff = switchesOff(segments);
  const remarks: KeyIn['remarks'] = [];
  let from = ROOM_IN(unit);
  const rows = segments.slice(0, switchOff ? -1 : undefined).flatMap((segment, index): KeyedSegment[] => {
    const target = targetStep * Math.round(temperatureIn(segment.target_C, unit) / targetStep);
    const rate = rateKeyed(profile, segment, index, target - from, remarks);
    const [hold_min, ...further] = holdsKeyed(profile, segment, index, remarks);
    if (celsiusFrom(target, unit) > profile.top_C + 1e-6) {
      remarks.push({
        kind: 'cannot',
        message: `Segment ${index + 1} goes to ${target} °${unit}; this controller takes no more than ${Math.round(temperatureIn(profile.top_C, unit))}.`,
      });
    }
    from = target;
    return [
      { segment: index, rate, target, hold_min, fullSpeed: segment.rate_C_per_h === null },
      ...further.map((more_min): KeyedSegment => ({ segment: index, rate: profile.fullSpeedCode, target, hold_min: more_min, fullSpeed: true })),
    ];
  });
  const mark = endingHold(profile);
  const last = rows.at(-1);
  if (mark !== null && last)
    rows.push({ segment: last.segment, rate: profile.fullSpeedCode, target: last.target, hold_min: mark, fullSpeed: true, ends: true });
  if (rows.length > mostSegments) {
    remarks.push({ kind: 'cannot', message: `The schedule has ${rows.length} segments to key and this controller holds ${mostSegments}.` });
  }
  return { rows, switchOff, remarks };
}

function rateKeyed(profile: Profile, { rate_C_per_h }: Segment, index: number, way: number, remarks: KeyIn['remarks']): number {
  const { unit, rateAs } = profile;
  if (rate_C_per_h === null) return way < 0 ? profile.fullSpeedDownCode : profile.fullSpeedCode;
  const exact = differenceIn(rate_C_per_h, unit);
  const { figure, meant_C_per_h, tooSlow } = keyedRate(profile, rate_C_per_h, way);
  if (tooSlow) {
    const asked =
      rateAs === 'minutes'
        ? `takes ${rateFigure(profile, rate_C_per_h, way)} minutes to its target; this controller's longest is ${figure}`
        : `asks for ${exact.toFixed(1)} °${unit} an hour; this controller's slowest is ${figure}${rateAs === 'perMinute' ? ' a minute' : ''}`;
    remarks.push({ kind: 'cannot', message: `Segment ${index + 1} ${asked}. Split it into steps with holds.` });
  } else if (exact - differenceIn(meant_C_per_h, unit) > SAID_FROM * exact) {
    const as = rateAs === 'minutes' ? `${figure} minutes` : rateAs === 'perMinute' ? `${figure} a minute` : String(figure);
    remarks.push({ kind: 'rounded', message: `Segment ${index + 1}: ${exact.toFixed(1)} °${unit} an hour is keyed as ${as}, the slower side.` });
  }
  return figure;
}

/** One hold, or several of its longest one after the other, each in a segment of its own that has no way to go. */
function holdsKeyed(profile: Profile, { hold_s }: Segment, index: number, remarks: KeyIn['remarks']): number[] {
  const hold_min = Math.round(hold_s / 60);
  const { holdAs, mostHold_s } = profile;
  // The longest of all is not for a firing where it ends the program.
  const most_min = Math.floor(mostHold_s / 60) - (endingHold(profile) === null ? 0 : 1);
  if (hold_min <= most_min) return [hold_min];
  const count = Math.ceil(hold_min / most_min);
  remarks.push({
    kind: 'parted',
    message: `Segment ${index + 1} holds for ${shownHold(hold_min, holdAs)}, longer than the ${shownHold(most_min, holdAs)} that this controller takes: it is keyed as ${count} segments at the same heat.`,
  });
  return Array.from({ length: count }, (_, k) => Math.min(most_min, hold_min - k * most_min));
}

/** What a controller runs where these figures stand in it; a segment that goes nowhere, at full speed, holds on with the one before it. */
export function segmentsOf(rows: readonly PanelRow[], controller: Controller): Segment[] {
  const { fullSpeedCode: up, fullSpeedDownCode: down } = profileOf(controller);
  const goesOn = (i: number): boolean => rows[i].target === rows[i - 1].target && (rows[i].rate === up || rows[i].rate === down);
  return runOf(rows, controller, goesOn).map(({ row: _row, ...segment }) => segment);
}

/** goesOn: whether a row is the hold of the one before it, gone on. */
function runOf(rows: readonly PanelRow[], controller: Controller, goesOn: (row: number) => boolean): (Segment & { row: number })[] {
  const profile = profileOf(controller);
  const mark = endingHold(profile);
  const run: (Segment & { row: number })[] = [];
  for (const [row, { rate, target, hold_min }] of rows.entries()) {
    if (hold_min === mark) break;
    const way = target - (rows[row - 1]?.target ?? ROOM_IN(profile.unit));
    if (row > 0 && goesOn(row)) run[run.length - 1].hold_s += 60 * hold_min;
    else run.push({ rate_C_per_h: rateMeant(profile, rate, way), target_C: celsiusFrom(target, profile.unit), hold_s: 60 * hold_min, row });
  }
  return run;
}

/** The schedule as the controller runs it once it is keyed, with the last way down where it is switched off. */
export function segmentsKeyed<S extends Segment>(segments: readonly S[], { rows, switchOff }: Pick<KeyIn, 'rows' | 'switchOff'>, controller: Controller): S[] {
  const goesOn = (i: number): boolean => rows[i].segment === rows[i - 1].segment;
  const run = runOf(rows, controller, goesOn).map(({ row, ...one }) => ({ ...segments[rows[row].segment], ...one }));
  return switchOff ? [...run, segments[segments.length - 1]] : run;
}
