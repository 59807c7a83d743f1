/** The figures of a step that hands do, each where it can be stepped or typed. */
import {
  type BenchStep,
  CLEANED_NAMES,
  CLEANED_OFF,
  type Cutting,
  FACE_NAMES,
  type Figure,
  JOINED_BY,
  JOINED_NAMES,
  type JourneyStep,
  type LayStep,
  LOOKED_NAMES,
  LOOKED_WITH,
  type Outcome,
  footprintArea,
  formatDuration,
  formatLength,
  formatMass,
  massFrom,
  massIn,
  otherUnits,
  parseDuration,
  tellDone,
  text,
} from '@torvin/core';
import {
  FILL_RANGE_KG,
  HOLE_RANGE_M,
  HOLES_RANGE,
  KERF_RANGE_M,
  LAY_SIDES,
  OFF_RANGE_M,
  SEGMENTS_RANGE,
  type Shelves,
  SPOT_RANGE_M,
  STRIP_RANGE_M,
} from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { GlassChoice } from '@/shelves/GlassChoice';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { lengthWithin, massWithin, numberWithin } from './typed';
import type { Layup } from './useLayup';

interface Range {
  least: number;
  most: number;
}

export interface HandFieldsProps {
  step: LayStep | BenchStep;
  shelves: Shelves;
  change(next: JourneyStep, what: string): void;
}

/** A figure is stepped by about a tenth of itself, in round steps. */
const aTenth = (value: number): number => 10 ** Math.floor(Math.log10(Math.max(value, 1e-5) * 1.0001)) / 2;

function Length({
  label,
  name,
  value_m,
  range,
  onValue,
  testID,
}: {
  label: string;
  name: string;
  value_m: number;
  range: Range;
  onValue(value_m: number): void;
  testID: string;
}) {
  const units = useUnits();
  return (
    <Stepper
      label={label}
      shown={formatLength(value_m, units.length)}
      other={formatLength(value_m, otherUnits(units).length)}
      read={(typed) => lengthWithin(typed, name, range.least, range.most, units.length)}
      stepped={(direction) => clamp(stepFrom(value_m, direction, aTenth(value_m)), range)}
      onValue={onValue}
      testID={testID}
    />
  );
}

function Count({
  label,
  name,
  value,
  range,
  onValue,
  testID,
}: {
  label: string;
  name: string;
  value: number;
  range: Range;
  onValue(value: number): void;
  testID: string;
}) {
  return (
    <Stepper
      label={label}
      shown={{ figure: String(value), unit: '' }}
      read={(typed) => numberWithin(typed, name, range, 'whole')}
      stepped={(direction) => clamp(value + direction, range)}
      onValue={onValue}
      testID={testID}
    />
  );
}

const LONGEST_S = 60 * 24 * 3600;
const QUARTER_S = 900;

function timeWithin(typed: string, name: string): Outcome<number> {
  const time = parseDuration(typed);
  if (!time.ok || (time.value >= 0 && time.value <= LONGEST_S)) return time;
  const message = `${name} is ${text(formatDuration(time.value))}; it must be at most ${text(formatDuration(LONGEST_S))}.`;
  return { ok: false, problem: { code: 'out-of-range', path: '', message } };
}

function Time({ label, name, value_s, onValue, testID }: { label: string; name: string; value_s: number; onValue(value_s: number): void; testID: string }) {
  const shown: Figure = { figure: text(formatDuration(value_s)), unit: '' };
  const read = (typed: string): Outcome<number> => timeWithin(typed, name);
  return (
    <Stepper
      label={label}
      shown={shown}
      read={read}
      stepped={(direction) => clamp(stepFrom(value_s, direction, value_s >= 4 * 3600 ? 3600 : QUARTER_S), { least: 0, most: LONGEST_S })}
      onValue={onValue}
      testID={testID}
    />
  );
}

const FACES = (['up', 'down'] as const).map((value) => ({ value, title: FACE_NAMES[value] }));
const PLACES = [{ value: 'rim' as const, title: 'rim' }, ...FACES];

/** A word or two of the hand's own, kept when the field is left. */
function Said({ label, value, onValue, testID }: { label: string; value: string; onValue(value: string): void; testID: string }) {
  const [typed, setTyped] = useState(value);
  return <Field label={label} value={typed} onChange={setTyped} onBlur={() => typed.trim() !== value && onValue(typed.trim())} testID={testID} />;
}

const CUT_TITLES: { value: Cutting['to']; title: string }[] = [
  { value: 'outline', title: 'To an outline' },
  { value: 'strips', title: 'Strips' },
  { value: 'segments', title: 'Segments' },
  { value: 'slice', title: 'A slice off a face' },
];

const CUT_USUAL: { [K in Cutting['to']]: Extract<Cutting, { to: K }> } = {
  outline: { to: 'outline', outline: { shape: 'disc', diameter_m: 0.1 } },
  strips: { to: 'strips', strip_m: 0.01, stand: 'flat' },
  segments: { to: 'segments', count: 8 },
  slice: { to: 'slice', face: 'up', depth_m: 0.002 },
};

function CutFields({ step, change }: { step: Extract<BenchStep, { kind: 'cut' }>; change(next: JourneyStep, what: string): void }) {
  const { cut } = step;
  const set = (next: Cutting, what: string): void => change({ ...step, cut: next }, what);
  return (
    <>
      <Choice label="Cut" value={cut.to} options={CUT_TITLES} onChange={(to) => to !== cut.to && set(CUT_USUAL[to], 'cut')} testID="cut" />
      {cut.to === 'outline' && <OutlineFields cut={cut} set={set} />}
      {cut.to === 'strips' && (
        <>
          <Length
            label="wide"
            name="A strip"
            value_m={cut.strip_m}
            range={STRIP_RANGE_M}
            onValue={(strip_m) => set({ ...cut, strip_m }, 'strip')}
            testID="strip"
          />
          <Choice
            label="Laid again"
            value={cut.stand}
            options={[
              { value: 'flat', title: 'Flat, side by side' },
              { value: 'onEdge', title: 'On edge' },
            ]}
            onChange={(stand) => set({ ...cut, stand }, 'stand')}
            testID="stand"
          />
        </>
      )}
      {cut.to === 'segments' && (
        <Count
          label="number"
          name="The number of segments"
          value={cut.count}
          range={SEGMENTS_RANGE}
          onValue={(count) => set({ ...cut, count }, 'count')}
          testID="segments"
        />
      )}
      {cut.to === 'slice' && (
        <>
          <Choice label="From the" value={cut.face} options={FACES} onChange={(face) => set({ ...cut, face }, 'face')} testID="slice-face" />
          <Length
            label="deep"
            name="The slice"
            value_m={cut.depth_m}
            range={OFF_RANGE_M}
            onValue={(depth_m) => set({ ...cut, depth_m }, 'depth')}
            testID="slice"
          />
        </>
      )}
      <Length label="kerf" name="The kerf" value_m={step.kerf_m} range={KERF_RANGE_M} onValue={(kerf_m) => change({ ...step, kerf_m }, 'kerf')} testID="kerf" />
    </>
  );
}

const SIZE_RANGE = { least: 0.01, most: 2 };

function OutlineFields({ cut, set }: { cut: Extract<Cutting, { to: 'outline' }>; set(next: Cutting, what: string): void }) {
  const { outline } = cut;
  const across_m = Math.sqrt(footprintArea(outline));
  const shapes = {
    disc: { shape: 'disc', diameter_m: across_m },
    rectangle: { shape: 'rectangle', width_m: across_m, length_m: across_m },
    oval: { shape: 'oval', width_m: across_m, length_m: across_m },
  } as const;
  return (
    <>
      <Choice
        label="Outline"
        value={outline.shape === 'polygon' ? null : outline.shape}
        options={[
          { value: 'rectangle', title: 'Rectangle' },
          { value: 'disc', title: 'Disc' },
          { value: 'oval', title: 'Oval' },
        ]}
        onChange={(shape) => shape !== outline.shape && set({ ...cut, outline: shapes[shape] }, 'outline')}
        testID="outline"
      />
      {outline.shape === 'disc' && (
        <Length
          label="across"
          name="The disc"
          value_m={outline.diameter_m}
          range={SIZE_RANGE}
          onValue={(diameter_m) => set({ ...cut, outline: { ...outline, diameter_m } }, 'across')}
          testID="outline-across"
        />
      )}
      {(outline.shape === 'rectangle' || outline.shape === 'oval') && (
        <>
          <Length
            label="wide"
            name="The width"
            value_m={outline.width_m}
            range={SIZE_RANGE}
            onValue={(width_m) => set({ ...cut, outline: { ...outline, width_m } }, 'width')}
            testID="outline-width"
          />
          <Length
            label="long"
            name="The length"
            value_m={outline.length_m}
            range={SIZE_RANGE}
            onValue={(length_m) => set({ ...cut, outline: { ...outline, length_m } }, 'length')}
            testID="outline-length"
          />
        </>
      )}
    </>
  );
}

export function HandFields({ step, shelves, change }: HandFieldsProps) {
  const units = useUnits();
  switch (step.kind) {
    case 'lay':
      return (
        <Choice
          label="Laid"
          value={step.side}
          options={LAY_SIDES.map((value) => ({ value, title: value === 'above' ? 'On top' : 'Under it' }))}
          onChange={(side) => change({ ...step, side }, 'side')}
          testID="side"
        />
      );
    case 'turn':
      return null;
    case 'cut':
      return <CutFields step={step} change={change} />;
    case 'grind':
    case 'polish':
      return (
        <>
          <Choice label="Where" value={step.at} options={PLACES} onChange={(at) => change({ ...step, at }, 'place')} testID="place" />
          <Length
            label="off"
            name="What comes off"
            value_m={step.depth_m}
            range={OFF_RANGE_M}
            onValue={(depth_m) => change({ ...step, depth_m }, 'depth')}
            testID="off"
          />
        </>
      );
    case 'blast':
      return (
        <>
          <Choice label="Where" value={step.face} options={FACES} onChange={(face) => change({ ...step, face }, 'face')} testID="place" />
          <Length
            label="deep"
            name="The depth"
            value_m={step.depth_m}
            range={OFF_RANGE_M}
            onValue={(depth_m) => change({ ...step, depth_m }, 'depth')}
            testID="off"
          />
          <Stepper
            label="open"
            shown={{ figure: String(Math.round(step.cover * 100)), unit: '%' }}
            read={(typed) => numberWithin(typed, 'What is not masked', { least: 1, most: 100 })}
            stepped={(direction) => clamp(Math.round(step.cover * 100) + 5 * direction, { least: 1, most: 100 })}
            onValue={(percent) => change({ ...step, cover: percent / 100 }, 'cover')}
            testID="blast-cover"
          />
        </>
      );
    case 'drill':
      return (
        <>
          <Length
            label="across"
            name="The hole"
            value_m={step.hole_m}
            range={HOLE_RANGE_M}
            onValue={(hole_m) => change({ ...step, hole_m }, 'hole')}
            testID="hole"
          />
          <Count
            label="number"
            name="The number of holes"
            value={step.count}
            range={HOLES_RANGE}
            onValue={(count) => change({ ...step, count }, 'count')}
            testID="holes"
          />
        </>
      );
    case 'clean':
      return (
        <>
          <Choice
            label="What comes off"
            value={step.off}
            options={CLEANED_OFF.map((value) => ({ value, title: CLEANED_NAMES[value] }))}
            onChange={(off) => change({ ...step, off, soak_s: off === 'primer' ? Math.max(step.soak_s, 3600) : 0 }, 'off')}
            testID="clean"
          />
          {step.off === 'primer' && (
            <Time label="soaks" name="The soaking" value_s={step.soak_s} onValue={(soak_s) => change({ ...step, soak_s }, 'soak')} testID="soak" />
          )}
        </>
      );
    case 'fill':
      return (
        <>
          <Length
            label="spot"
            name="The spot"
            value_m={step.spot_m}
            range={SPOT_RANGE_M}
            onValue={(spot_m) => change({ ...step, spot_m }, 'spot')}
            testID="spot"
          />
          <Stepper
            label="of"
            shown={formatMass(step.mass_kg, units.mass)}
            other={formatMass(step.mass_kg, otherUnits(units).mass)}
            read={(typed) => massWithin(typed, 'The fill', FILL_RANGE_KG.least, FILL_RANGE_KG.most, units.mass)}
            stepped={(direction) =>
              clamp(massFrom(stepFrom(massIn(step.mass_kg, units.mass), direction, aTenth(massIn(step.mass_kg, units.mass))), units.mass), FILL_RANGE_KG)
            }
            onValue={(mass_kg) => change({ ...step, mass_kg }, 'mass')}
            testID="fill-mass"
          />
          <GlassChoice shelves={shelves} form="frit" value={step.glassId} onChange={({ id }) => change({ ...step, glassId: id }, 'glass')} />
        </>
      );
    case 'look':
      return (
        <>
          <Choice
            label="How"
            value={step.with}
            options={LOOKED_WITH.map((value) => ({ value, title: LOOKED_NAMES[value] }))}
            onChange={(way) => change({ ...step, with: way }, 'with')}
            testID="look-with"
          />
          <Said
            key={step.id}
            label="What was found"
            value={step.found ?? ''}
            onValue={(found) => {
              const { found: _found, ...rest } = step;
              change(found === '' ? rest : { ...rest, found }, 'found');
            }}
            testID="found"
          />
        </>
      );
    case 'wait':
      return <Time label="waits" name="The wait" value_s={step.for_s} onValue={(for_s) => change({ ...step, for_s }, 'wait')} testID="wait" />;
    case 'join':
      return (
        <>
          <Choice
            label="How"
            value={step.by}
            options={JOINED_BY.map((value) => ({ value, title: JOINED_NAMES[value] }))}
            onChange={(by) => change({ ...step, by }, 'by')}
            testID="join"
          />
          <Time label="sets" name="The setting" value_s={step.cure_s} onValue={(cure_s) => change({ ...step, cure_s }, 'cure')} testID="cure" />
        </>
      );
  }
}

/** What it really took, told afterwards: glass as weighed, and time. */
export function StepTold({ layup, step, doneAt, takes }: { layup: Layup; step: LayStep | BenchStep; doneAt: number; takes: boolean }) {
  const units = useUnits();
  const { took = {} } = step;
  const [mass, setMass] = useState(took.mass_kg === undefined ? '' : text(formatMass(took.mass_kg, units.mass)));
  const [time, setTime] = useState(took.time_s === undefined ? '' : text(formatDuration(took.time_s)));
  const [errors, setErrors] = useState<{ mass?: string; time?: string }>({});
  const keep = (): void => {
    const weighed = mass.trim() === '' ? null : massWithin(mass, 'What it took', 0, 1000, units.mass);
    const timed = time.trim() === '' ? null : timeWithin(time, 'The time');
    setErrors({ mass: weighed && !weighed.ok ? weighed.problem.message : undefined, time: timed && !timed.ok ? timed.problem.message : undefined });
    if ((weighed && !weighed.ok) || (timed && !timed.ok)) return;
    layup.edit(tellDone(layup.doc, step.id, doneAt, { ...(weighed ? { mass_kg: weighed.value } : {}), ...(timed ? { time_s: timed.value } : {}) }));
  };
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
      {takes && (
        <View style={{ flex: 1 }}>
          <Field label="It took, weighed" value={mass} onChange={setMass} error={errors.mass} testID="took-mass" />
        </View>
      )}
      <View style={{ flex: 1 }}>
        <Field label="It took, time" value={time} onChange={setTime} error={errors.time} testID="took-time" />
      </View>
      <Action kind="second" title="Keep" label="Keep what it took" testID="keep-took" onPress={keep} />
    </View>
  );
}
