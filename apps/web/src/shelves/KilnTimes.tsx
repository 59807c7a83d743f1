/** What an artist can measure of a kiln with a clock; its constants follow from that and stand folded beneath. */
import { NEVER_S, climbingPast, fullPowerHeating, settledCooling, timesOf } from '@torvin/core/kiln';
import type { Outcome, Problem } from '@torvin/core/problem';
import {
  type LengthUnit,
  type TemperatureUnit,
  type Units,
  formatDifference,
  formatDuration,
  formatRate,
  formatTemperature,
  parseDifference,
  parseDuration,
  text,
} from '@torvin/core/units';
import { type Kiln, KINDS, type Entry, type Figure, figureOfRecord, written } from '@torvin/schema';
import { type Ref, useImperativeHandle, useMemo, useState } from 'react';
import type { UseFormGetValues, UseFormSetValue } from 'react-hook-form';
import { View } from 'react-native';
import { problemOfError } from '@/outside/client';
import { useUnits } from '@/data/FormUnits';
import { compute } from '@/engine/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { COLUMNS } from '@/ui/columns';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { showFault } from '@/ui/showFault';
import { KILN_TIMES } from './words';

const CLIMBS_C = [500, 800, 1000] as const;
const FALL = { from_C: 500, to_C: 300 } as const;
const TAIL = { from_C: 300, to_C: 100 } as const;
const HOUR_S = 3600;

type Asked = `climb${(typeof CLIMBS_C)[number]}` | 'fall' | 'tail' | 'apart';

/** What else a form does with it. */
export interface KilnClock {
  /** Works out what was typed since it last was; false where that cannot be, which is said at its fields. */
  settle(): Promise<boolean>;
}

export interface KilnTimesProps {
  ref?: Ref<KilnClock>;
  record: Kiln;
  getValues: UseFormGetValues<Entry>;
  setValue: UseFormSetValue<Entry>;
}

/** What a clock would show by the constants that are kept, as it is asked for; nothing of a kiln that is not kept yet. */
function keptOf(kiln: Kiln, { temperature, length }: Units): Partial<Record<Asked, string>> {
  if (kiln.version === 0) return {};
  const [tail, fall, ...climbs] = timesOf(kiln, { ambient_C: kiln.ambient_C, climbs: CLIMBS_C.map((to_C) => ({ to_C })), fall: FALL, tail: TAIL }).reverse();
  const words = (seconds: number): string => (seconds < NEVER_S ? text(formatDuration(Math.round(seconds / 60) * 60)) : KILN_TIMES.doesNotGet);
  // A kiln that is at its hottest there climbs no further.
  const climbs_K_per_s = Math.max(climbingPast(kiln, FALL.from_C), 0);
  const apart_K = kiln.acrossLag_s_per_300mm * climbs_K_per_s * span(length);
  return {
    ...Object.fromEntries(climbs.reverse().map((seconds, i) => [`climb${CLIMBS_C[i]}`, words(seconds)])),
    fall: words(fall),
    tail: words(tail),
    ...(climbs_K_per_s > 0 ? { apart: text(formatDifference(apart_K, temperature)) } : {}),
  };
}

/** A difference over a foot, where lengths are in inches, is of so many times 300 mm, for which the lag is kept. */
const span = (length: LengthUnit): number => (length === 'in' ? 304.8 / 300 : 1);

interface ReadTimes {
  /** At its field. */
  wrong: Partial<Record<Asked, string>>;
  climbs: { to_C: number; seconds: number }[];
  fall?: number;
  tail?: number;
  difference_K?: number;
}

function readTimes(typed: Partial<Record<Asked, string>>, unit: TemperatureUnit): ReadTimes {
  const wrong: ReadTimes['wrong'] = {};
  const read = (key: Asked, as: (written: string) => Outcome<number>, needed: boolean): number | undefined => {
    const now = typed[key]?.trim() ?? '';
    if (now === '') {
      if (needed) wrong[key] = KILN_TIMES.writeHowLong;
      return undefined;
    }
    const outcome = as(now);
    if (outcome.ok) return outcome.value;
    wrong[key] = outcome.problem.message;
    return undefined;
  };
  const climbs = CLIMBS_C.flatMap((to_C) => {
    const seconds = read(`climb${to_C}`, parseDuration, to_C === 500);
    return seconds === undefined ? [] : [{ to_C, seconds }];
  });
  const [fall, tail] = [read('fall', parseDuration, true), read('tail', parseDuration, false)];
  return { wrong, climbs, fall, tail, difference_K: read('apart', (now) => parseDifference(now, unit), false) };
}

/** What its constants come to. */
function followsWords(kiln: Kiln, unit: TemperatureUnit): string {
  const perHour = (rate: number): string => text(formatRate(rate * HOUR_S, unit));
  const at = text(formatTemperature(500, unit));
  const hot = climbingPast(kiln, 500) > 0 ? KILN_TIMES.at(perHour(climbingPast(kiln, 500))) : KILN_TIMES.noFurtherAt;
  const wall = kiln.wallOverChamber === undefined ? '' : KILN_TIMES.wallsStoreTimes(kiln.wallOverChamber.toFixed(1));
  const cold = perHour(fullPowerHeating(kiln, kiln.ambient_C));
  return KILN_TIMES.constantsFollowFull(cold, hot, at, perHour(settledCooling(kiln, 500)), wall);
}

export function KilnTimes({ ref, record, getValues, setValue }: KilnTimesProps) {
  const units = useUnits();
  const unit = units.temperature;
  const degrees = (celsius: number): string => text(formatTemperature(celsius, unit));
  const [typed, setTyped] = useState<Partial<Record<Asked, string>>>({});
  const [faults, setFaults] = useState<Partial<Record<Asked, string>>>({});
  /** What was worked out last. */
  const [settled, setSettled] = useState(typed);
  const [said, setSaid] = useState<{ tone: 'plain' | 'warn'; words: string } | null>(null);
  const figure = (key: string): Figure | undefined => KINDS.kilns.fields.find((field): field is Figure => field.as === 'figure' && field.key === key);

  const write = (key: string, value: number): void => {
    const field = figure(key);
    if (field) setValue(key, written(field.of.shown(value, units)), { shouldDirty: true });
  };

  async function workOut(): Promise<boolean> {
    const { wrong, climbs, fall, tail, difference_K } = readTimes(typed, unit);
    setFaults(wrong);
    setSaid(null);
    if (Object.keys(wrong).length > 0 || fall === undefined) {
      showFault();
      return false;
    }
    const room = figure('ambient_C');
    const ambient = room && figureOfRecord(KINDS.kilns.schema, room, String(getValues('ambient_C') ?? ''), units);
    const ambient_C = ambient?.ok ? ambient.value : record.ambient_C;
    const apart = difference_K === undefined ? {} : { apart: { difference_K: difference_K / span(units.length), at_C: 500 } };
    const tell = ({ message }: Problem): false => {
      setSaid({ tone: 'warn', words: message });
      return false;
    };
    try {
      const outcome = await compute('kilnTimes', {
        ambient_C,
        climbs,
        fall: { ...FALL, seconds: fall },
        ...(tail === undefined ? {} : { tail: { ...TAIL, seconds: tail } }),
        ...apart,
        unit,
      });
      if (!outcome.ok) return tell(outcome.problem);
      const { constants, remark } = outcome.value;
      for (const [key, value] of Object.entries(constants)) write(key, value);
      const { wallOverChamber } = constants;
      if (wallOverChamber === undefined) for (const key of ['wallExchange_per_s', 'wallOverChamber'] as const) setValue(key, '', { shouldDirty: true });
      const follows = followsWords({ ...record, ambient_C, wallExchange_per_s: undefined, wallOverChamber, ...constants }, unit);
      setSaid({ tone: remark === null ? 'plain' : 'warn', words: remark === null ? follows : `${remark} ${follows}` });
      setSettled(typed);
      return true;
    } catch (error) {
      return tell(problemOfError(error));
    }
  }

  useImperativeHandle(ref, () => ({
    settle: async () => typed === settled || Object.values(typed).every((words) => words.trim() === '') || workOut(),
  }));

  const kept = useMemo(() => keptOf(record, units), [record, units]);
  const field = (key: Asked, label: string, hint?: string) => (
    <Field
      label={label}
      value={typed[key] ?? ''}
      onChange={(now) => setTyped({ ...typed, [key]: now })}
      error={faults[key]}
      hint={[kept[key] && KILN_TIMES.asItIs(kept[key]), hint].filter(Boolean).join('; ')}
      testID={`kiln-${key}`}
    />
  );
  return (
    <View style={{ gap: space.medium }} testID="kiln-times">
      <Words bold role="heading" aria-level={2}>
        {KILN_TIMES.whatClockTells}
      </Words>
      <Words size="label" tone="muted">
        {KILN_TIMES.emptyUsualShelf}
      </Words>
      <View style={COLUMNS}>
        {field('climb500', KILN_TIMES.coldFullPower(degrees(500)), 'as 1:20, 80 min, 1 h 20 min')}
        {field('climb800', KILN_TIMES.fromColdTo(degrees(800)), KILN_TIMES.tellsLossesTop)}
        {field('climb1000', KILN_TIMES.coldIfGoes(degrees(1000)))}
        {field('fall', KILN_TIMES.closedOff(degrees(FALL.from_C), degrees(FALL.to_C)))}
        {field('tail', KILN_TIMES.andOnFrom(degrees(TAIL.from_C), degrees(TAIL.to_C)), KILN_TIMES.nextMorningThick)}
        {field('apart', KILN_TIMES.betweenTwoPlaces(units.length === 'in', degrees(500)), KILN_TIMES.ifKnownSuch(text(formatDifference(8, unit))))}
      </View>
      <Action kind="second" title={KILN_TIMES.workOutConstants} testID="kiln-work-out" onPress={() => void workOut()} />
      {said && (
        <Notice tone={said.tone} testID="kiln-worked-out">
          {said.words}
        </Notice>
      )}
    </View>
  );
}
