/** The figures of a step that hands do, each where it can be stepped or typed. */
import {
  type BenchStep,
  CLEANED_NAMES,
  CLEANED_OFF,
  JOINED_BY,
  JOINED_NAMES,
  type JourneyStep,
  type LayStep,
  LOOKED_NAMES,
  LOOKED_WITH,
} from '@torvin/core/piece';
import { formatMass, massFrom, massIn, otherUnits } from '@torvin/core/units';
import { FILL_RANGE_KG, HOLE_RANGE_M, HOLES_RANGE, LAY_SIDES, OFF_RANGE_M, type Shelves, SPOT_RANGE_M } from '@torvin/schema';
import { useState } from 'react';
import { useUnits } from '@/data/FormUnits';
import { GlassChoice } from '@/shelves/GlassChoice';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { massWithin, numberWithin } from '@/layup/typed';
import { CutFields } from './CutFields';
import { aTenth, Length, Count, Time, FACES } from '@/layup/HandSteppers';

export interface HandFieldsProps {
  step: LayStep | BenchStep;
  shelves: Shelves;
  pieceId: string;
  change(next: JourneyStep, what: string): void;
}

const PLACES = [{ value: 'rim' as const, title: 'rim' }, ...FACES];

/** A word or two of the hand's own, kept when the field is left. */
function Said({ label, value, onValue, testID }: { label: string; value: string; onValue(value: string): void; testID: string }) {
  const [typed, setTyped] = useState(value);
  return <Field label={label} value={typed} onChange={setTyped} onBlur={() => typed.trim() !== value && onValue(typed.trim())} testID={testID} />;
}

export function HandFields({ step, shelves, pieceId, change }: HandFieldsProps) {
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
            value={Math.round(step.cover * 100)}
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
          <GlassChoice shelves={shelves} pieceId={pieceId} form="frit" value={step.glassId} onChange={({ id }) => change({ ...step, glassId: id }, 'glass')} />
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
