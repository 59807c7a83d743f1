/** What can be set of a step that hands do: by its declaration, each where it can be stepped, typed or chosen. */
import { type BenchStep, type ChoiceField, type JourneyStep, type LayStep, type StepField, benchKind } from '@torvin/core/piece';
import { MASS, formatMass, massFrom, massIn, otherUnits, readFigure } from '@torvin/core/units';
import { LAY_SIDES, type Shelves } from '@torvin/schema';
import { useState } from 'react';
import { useUnits } from '@/data/FormUnits';
import { Count, Length, Share, Time, aTenth } from '@/layup/HandSteppers';
import { GlassChoice } from '@/shelves/GlassChoice';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Stepper } from '@/ui/Stepper';
import { clamp, stepFrom } from '@/ui/stepFrom';
import { CutFields } from './CutFields';
import { HAND_FIELDS } from './words';

export interface HandFieldsProps {
  step: LayStep | BenchStep;
  shelves: Shelves;
  pieceId: string;
  change(next: JourneyStep, what: string): void;
}

export function HandFields({ step, shelves, pieceId, change }: HandFieldsProps) {
  if (step.kind === 'lay')
    return (
      <Choice
        label={HAND_FIELDS.laid}
        value={step.side}
        options={LAY_SIDES.map((value) => ({ value, title: value === 'above' ? HAND_FIELDS.onTop : HAND_FIELDS.underIt }))}
        onChange={(side) => change({ ...step, side }, 'side')}
        testID="side"
      />
    );
  if (step.kind === 'cut') return <CutFields step={step} change={change} />;
  return benchKind(step)
    .fields.filter(({ asks }) => asks === undefined || asks(step))
    .map((field) => <OneField key={`${step.id} ${field.key}`} {...{ step, field, shelves, pieceId, change }} />);
}

interface OneProps extends Omit<HandFieldsProps, 'step'> {
  step: BenchStep;
  field: StepField<BenchStep>;
}

/** What a step has under the key of a field: the declaration says what that is. */
const valueIn = <T,>(step: BenchStep, key: string): T => step[key as keyof BenchStep] as T;

function OneField({ step, field, shelves, pieceId, change }: OneProps) {
  const units = useUnits();
  const put = (value: unknown, more: object = {}): void => {
    const { [field.key as keyof BenchStep]: _before, ...rest } = step;
    change({ ...rest, ...(value === undefined ? {} : { [field.key]: value }), ...more } as BenchStep, field.key.replace(/_\w+$/, ''));
  };
  switch (field.as) {
    case 'length':
      return <Length {...field} value_m={valueIn(step, field.key)} onValue={put} />;
    case 'count':
      return <Count {...field} value={valueIn(step, field.key)} onValue={put} />;
    case 'time':
      return <Time {...field} value_s={valueIn(step, field.key)} onValue={put} />;
    case 'share':
      return <Share {...field} value={valueIn(step, field.key)} onValue={put} />;
    case 'mass': {
      const value_kg = valueIn<number>(step, field.key);
      const shown = massIn(value_kg, units.mass);
      return (
        <Stepper
          label={field.label}
          shown={formatMass(value_kg, units.mass)}
          other={formatMass(value_kg, otherUnits(units).mass)}
          read={(typed) => readFigure(typed, { ...field, of: MASS }, units)}
          value={value_kg}
          stepped={(direction) => clamp(massFrom(stepFrom(shown, direction, aTenth(shown)), units.mass), field.range)}
          onValue={put}
          testID={field.testID}
        />
      );
    }
    case 'choice':
      return <Chosen step={step} field={field} put={put} />;
    case 'glass':
      return <GlassChoice shelves={shelves} pieceId={pieceId} form={field.form} value={valueIn(step, field.key)} onChange={({ id }) => put(id)} />;
    case 'words':
      return (
        <Said
          label={field.label}
          value={valueIn<string | undefined>(step, field.key) ?? ''}
          onValue={(said) => put(said === '' ? undefined : said)}
          testID={field.testID}
        />
      );
  }
}

interface ChosenProps {
  step: BenchStep;
  field: ChoiceField<BenchStep>;
  put(value: string, more?: object): void;
}

function Chosen({ step, field, put }: ChosenProps) {
  return (
    <Choice
      label={field.label}
      value={valueIn<string | undefined>(step, field.key) ?? field.usual ?? null}
      options={[...field.options]}
      onChange={(value) => put(value, field.brings?.(step, value))}
      testID={field.testID}
    />
  );
}

/** A word or two of the hand's own, kept when the field is left. */
function Said({ label, value, onValue, testID }: { label: string; value: string; onValue(value: string): void; testID: string }) {
  const [typed, setTyped] = useState(value);
  return <Field label={label} value={typed} onChange={setTyped} onBlur={() => typed.trim() !== value && onValue(typed.trim())} testID={testID} />;
}
