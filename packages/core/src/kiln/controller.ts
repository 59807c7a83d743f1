/**
 * Turns a schedule into what a kiln controller is keyed with: whole numbers in its own unit, a number that means
 * 'as fast as you can', and no more segments than it holds. A last switched-off segment needs no keying.
 */
import { type TemperatureUnit, differenceIn, temperatureIn } from '../units/convert';
import type { Segment } from './segment';

export interface Controller {
  unit: TemperatureUnit;
  /** Keyed as the rate where the segment goes as fast as it can. */
  fullSpeedCode: number;
  mostSegments: number;
}

export interface KeyedSegment {
  /** Index in the schedule. */
  segment: number;
  /** Degrees per hour, whole. */
  rate: number;
  target: number;
  hold_min: number;
  fullSpeed: boolean;
}

export interface KeyIn {
  rows: KeyedSegment[];
  /** The schedule ends by switching off: nothing to key for its last segment. */
  switchOff: boolean;
  /** What keying changed or cannot do, as sentences. */
  remarks: { kind: 'rounded' | 'cannot'; message: string }[];
}

/** Whether the last segment is the closed kiln, switched off, on its way down: no controller is told of it. */
export function switchesOff(segments: readonly Segment[]): boolean {
  const [before, last] = segments.slice(-2);
  return last !== undefined && last.rate_C_per_h === null && last.target_C < before.target_C && last.hold_s === 0;
}

export function keyIn(segments: readonly Segment[], controller: Controller): KeyIn {
  const switchOff = switchesOff(segments);
  const remarks: KeyIn['remarks'] = [];
  const rows = segments.slice(0, switchOff ? -1 : undefined).map((segment, index): KeyedSegment => {
    const exact = segment.rate_C_per_h === null ? null : differenceIn(segment.rate_C_per_h, controller.unit);
    const rate = exact === null ? controller.fullSpeedCode : Math.floor(exact + 1e-6);
    if (exact !== null && rate < 1) {
      remarks.push({
        kind: 'cannot',
        message: `Segment ${index + 1} asks for ${exact.toFixed(1)} °${controller.unit} an hour; this controller's slowest is 1. Split it into steps with holds.`,
      });
    } else if (exact !== null && exact - rate > 0.05 * exact) {
      remarks.push({ kind: 'rounded', message: `Segment ${index + 1}: ${exact.toFixed(1)} °${controller.unit} an hour is keyed as ${rate}, the slower side.` });
    }
    return {
      segment: index,
      rate: Math.max(rate, 1),
      target: Math.round(temperatureIn(segment.target_C, controller.unit)),
      hold_min: Math.round(segment.hold_s / 60),
      fullSpeed: exact === null,
    };
  });
  if (rows.length > controller.mostSegments) {
    remarks.push({ kind: 'cannot', message: `The schedule has ${rows.length} segments to key and this controller holds ${controller.mostSegments}.` });
  }
  return { rows, switchOff, remarks };
}
