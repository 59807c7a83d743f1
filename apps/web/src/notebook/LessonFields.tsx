/** What a firing is to teach: whether it counts, and what was read at the glass while the controller read something. */
import { type Outcome, found } from '@torvin/core/problem';
import { METRIC, TEMPERATURE, type TemperatureUnit, formatTemperature, readFigure, text } from '@torvin/core/units';
import { type Lesson, LessonSchema, WITNESS_RANGE_C } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Field } from '@/ui/Field';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { LESSON_FIELDS } from './words';

export interface LessonEntry {
  leftOut: boolean;
  controller: string;
  glass: string;
}

export const entryOfLesson = ({ leftOut, witness }: Lesson, unit: TemperatureUnit): LessonEntry => ({
  leftOut,
  controller: witness ? text(formatTemperature(witness.controller_C, unit)) : '',
  glass: witness ? text(formatTemperature(witness.glass_C, unit)) : '',
});

const reading = (typed: string, unit: TemperatureUnit): Outcome<number> =>
  readFigure(typed, { of: TEMPERATURE, name: LESSON_FIELDS.theReading, range: WITNESS_RANGE_C }, { ...METRIC, temperature: unit });

/** The lesson that was typed, or why it is none, at its field. A reading that still says what was recorded keeps its digits. */
export function lessonOf(
  { leftOut, controller, glass }: LessonEntry,
  by: Lesson['by'],
  unit: TemperatureUnit,
  before: Lesson,
): { lesson: Lesson } | { fault: { field: 'controller' | 'glass'; message: string } } {
  if (controller.trim() === '' && glass.trim() === '') return { lesson: { leftOut, by, witness: null } };
  const was = entryOfLesson(before, unit);
  const { witness } = before;
  const read = witness && controller === was.controller ? found(witness.controller_C) : reading(controller, unit);
  const felt = witness && glass === was.glass ? found(witness.glass_C) : reading(glass, unit);
  if (!read.ok) return { fault: { field: 'controller', message: read.problem.message } };
  if (!felt.ok) return { fault: { field: 'glass', message: felt.problem.message } };
  const lesson = LessonSchema.safeParse({ leftOut, by, witness: { controller_C: read.value, glass_C: felt.value } });
  if (lesson.success) return { lesson: lesson.data };
  const [issue] = lesson.error.issues;
  return { fault: { field: issue.path.includes('controller_C') ? 'controller' : 'glass', message: issue.message } };
}

export interface LessonFieldsProps {
  value: LessonEntry;
  fault: { field: string; message: string } | null;
  onChange(value: LessonEntry): void;
}

export function LessonFields({ value, fault, onChange }: LessonFieldsProps) {
  const [opened] = useState(value);
  const error = (field: string): string | undefined => (fault?.field === field ? fault.message : undefined);
  return (
    <View style={{ gap: space.small }}>
      <Words>{LESSON_FIELDS.thermocoupleWitnessCone}</Words>
      <Field
        label={LESSON_FIELDS.theControllerRead}
        value={value.controller}
        onChange={(controller) => onChange({ ...value, controller })}
        error={error('controller')}
        hint={opened.controller === '' ? LESSON_FIELDS.mayLeftOut : undefined}
        testID="lesson-controller"
      />
      <Field
        label={LESSON_FIELDS.atTheGlass}
        value={value.glass}
        onChange={(glass) => onChange({ ...value, glass })}
        error={error('glass')}
        hint={LESSON_FIELDS.sameMoment}
        testID="lesson-glass"
      />
      <Tick on={value.leftOut} title={LESSON_FIELDS.leaveFiringOut} onPress={() => onChange({ ...value, leftOut: !value.leftOut })} testID="lesson-leftOut" />
    </View>
  );
}
