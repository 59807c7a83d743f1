/** What it really took, told afterwards: glass as weighed, and time. */
import { type BenchStep, type LayStep, tellDone } from '@torvin/core/piece';
import { found } from '@torvin/core/problem';
import { MASS, formatDuration, formatMass, readFigure, text } from '@torvin/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import type { Layup } from '@/layup/useLayup';
import { readTime } from '@/layup/HandSteppers';
import { STEP_TOLD } from './words';
import { WORDS } from '@/ui/said';

interface StepToldProps {
  layup: Layup;
  step: LayStep | BenchStep;
  doneAt: number;
  takes: boolean;
}

export const StepTold = inFormUnits(ToldForm);

function ToldForm({ layup, step, doneAt, takes }: StepToldProps) {
  const units = useUnits();
  const { took = {} } = step;
  const [began] = useState({
    mass: took.mass_kg === undefined ? '' : text(formatMass(took.mass_kg, units.mass)),
    time: took.time_s === undefined ? '' : text(formatDuration(took.time_s)),
  });
  const [mass, setMass] = useState(began.mass);
  const [time, setTime] = useState(began.time);
  const [errors, setErrors] = useState<{ mass?: string; time?: string }>({});
  const keep = (): void => {
    // What nobody typed over stays, to the last digit.
    const weighed =
      mass.trim() === ''
        ? null
        : mass === began.mass && took.mass_kg !== undefined
          ? found(took.mass_kg)
          : readFigure(mass, { of: MASS, name: STEP_TOLD.whatItTook, range: { least: 0, most: 1000 } }, units);
    const timed = time.trim() === '' ? null : time === began.time && took.time_s !== undefined ? found(took.time_s) : readTime(time, STEP_TOLD.theTime);
    setErrors({ mass: weighed && !weighed.ok ? weighed.problem.message : undefined, time: timed && !timed.ok ? timed.problem.message : undefined });
    if ((weighed && !weighed.ok) || (timed && !timed.ok)) return;
    layup.edit(tellDone(layup.doc, step.id, doneAt, { ...(weighed ? { mass_kg: weighed.value } : {}), ...(timed ? { time_s: timed.value } : {}) }));
  };
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
      {takes && (
        <View style={{ flex: 1 }}>
          <Field label={STEP_TOLD.itTookWeighed} value={mass} onChange={setMass} error={errors.mass} testID="took-mass" />
        </View>
      )}
      <View style={{ flex: 1 }}>
        <Field label={STEP_TOLD.itTookTime} value={time} onChange={setTime} error={errors.time} testID="took-time" />
      </View>
      <Action kind="second" title={WORDS.keep} label={STEP_TOLD.keepWhatTook} testID="keep-took" onPress={keep} />
    </View>
  );
}
