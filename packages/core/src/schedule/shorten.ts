/**
 * Makes a schedule fit the memory of a controller with the least harm. Neighbours that go the same way are joined into one segment that
 * goes to the second one's target at the slower of their rates, or the last controlled way down is left to the closed kiln; each such
 * way out is simulated, and the one taken that breaks least and then costs least time. What was given up is said in figures.
 */
import { keyIn, switchesOff } from '../controller/keyIn';
import type { Controller } from '../controller/profile';
import type { PurposefulSegment, Role } from '../kiln/segment';
import type { Units } from '../units/convert';
import { text } from '../units/format';
import { harmOf } from './check';
import { type Evaluation } from './reading';
import { consequences } from './differences';
import type { FiringCase } from './firingCase';
import { ROLE_NAMES } from './roles';

export interface Shortened {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** How many ways out were simulated. */
  evaluations: number;
  remarks: string[];
}

interface WayOut {
  segments: PurposefulSegment[];
  said: string;
}

/** Schedules with one segment to key less. */
function waysOut(segments: PurposefulSegment[]): WayOut[] {
  const off = switchesOff(segments);
  const last = segments.length - (off ? 2 : 1);
  const from = (i: number): number => segments[i - 1]?.target_C ?? -Infinity;
  const joins = segments.slice(0, last).flatMap((one, i): WayOut[] => {
    const next = segments[i + 1];
    const rises = one.target_C >= from(i);
    if (next.target_C >= one.target_C !== rises) return [];
    const rate_C_per_h = one.rate_C_per_h === null || next.rate_C_per_h === null ? (one.rate_C_per_h ?? next.rate_C_per_h) : slower(one, next);
    const joined = { ...next, role: rises ? next.role : one.role, rate_C_per_h };
    const lost = one.hold_s > 0 ? `, without the hold of the ${called(one)}` : '';
    return [
      {
        segments: [...segments.slice(0, i), joined, ...segments.slice(i + 2)],
        said: `${called(one)} and ${called(next)} are joined at the slower rate${lost}`,
      },
    ];
  });
  const dropped = segments[last];
  if (!off || last < 1 || dropped.target_C >= segments[last - 1].target_C) return joins;
  return [
    ...joins,
    { segments: [...segments.slice(0, last), ...segments.slice(last + 1)], said: `the ${called(dropped)} is left out, since the closed kiln cools by itself` },
  ];
}

/** Beside others, where a sheet's short names for what follows would not be understood. */
const COOLS: Partial<Record<Role, string>> = { secondCool: 'second cool', lastCool: 'last cool' };
const called = ({ role }: PurposefulSegment): string => COOLS[role] ?? ROLE_NAMES[role].toLowerCase();

const slower = (one: PurposefulSegment, next: PurposefulSegment): number => Math.min(one.rate_C_per_h ?? Infinity, next.rate_C_per_h ?? Infinity);

export function shortened(
  firing: FiringCase,
  planned: { segments: PurposefulSegment[]; evaluation: Evaluation },
  controller: Controller,
  judge: (segments: PurposefulSegment[]) => Evaluation,
  units: Units,
): Shortened {
  let { segments, evaluation } = planned;
  let evaluations = 0;
  const said: string[] = [];
  const keyed = (): number => keyIn(segments, controller).rows.length;
  while (keyed() > controller.mostSegments) {
    const ways = waysOut(segments).map((way) => ({ ...way, evaluation: judge(way.segments) }));
    evaluations += ways.length;
    if (ways.length === 0) break;
    const least = ways.reduce((best, way) => (costsMore(best.evaluation, way.evaluation) ? way : best));
    ({ segments, evaluation } = least);
    said.push(least.said);
  }
  const cannot = keyIn(segments, controller).remarks.flatMap(({ kind, message }) => (kind === 'cannot' ? [message] : []));
  return { segments, evaluation, evaluations, remarks: said.length === 0 ? cannot : [...givenUp(), ...cannot] };

  function givenUp(): string[] {
    const changes = consequences({ firing, evaluation: planned.evaluation }, { firing, evaluation }, units).filter(({ differs }) => differs);
    const figures = changes.map(({ what, before, after }) => `${what} ${text(after)} for ${text(before)}`);
    return [
      `For the ${controller.mostSegments} segments that the controller holds: ${said.join('; ')}.`,
      figures.length === 0 ? 'In the glass it changes nothing that shows.' : `Given up for it: ${figures.join(', ')}.`,
    ];
  }
}

/** By what breaks, and where that is alike by how long it takes. */
function costsMore(one: Evaluation, other: Evaluation): boolean {
  const [harm, otherHarm] = [harmOf(one), harmOf(other)];
  return Math.abs(harm - otherHarm) > 1e-6 ? harm > otherHarm : one.simulation.total_s > other.simulation.total_s;
}
