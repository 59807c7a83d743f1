/** Records a firing: when, how it came out, what was seen. */
import { zodResolver } from '@hookform/resolvers/zod';
import type { Problem } from '@torvin/core';
import { type FiringResult, ResultSchema } from '@torvin/schema';
import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';
import { useEffect } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { TimeInput } from '@/ui/TimeInput';
import { Words } from '@/ui/Words';
import { RESULT_WORDS } from './results';

export interface RecordFormProps {
  started: Date;
  problem: Problem | null;
  saving: boolean;
  onSave(firing: { firedAt: number; result: FiringResult; note: string }): void;
}

const FIELD_TIME = "yyyy-MM-dd'T'HH:mm";
const NOTE_AT_MOST = 4000;

const recordSchema = z.object({
  when: z.string().transform((written, context) => {
    const time = parse(written, FIELD_TIME, new Date());
    if (isValid(time)) return time.getTime();
    context.addIssue({ code: 'custom', message: 'Say when it was fired: a day and a time.' });
    return z.NEVER;
  }),
  result: z.enum(ResultSchema.options, { error: 'Say how it came out.' }),
  note: z.string().max(NOTE_AT_MOST, { error: `A note has at most ${NOTE_AT_MOST} characters.` }),
});

const FIELDS: Record<string, 'when' | 'result' | 'note'> = { firedAt: 'when', result: 'result', note: 'note' };

export function RecordForm({ started, problem, saving, onSave }: RecordFormProps) {
  const { control, handleSubmit, setError, formState } = useForm({
    resolver: zodResolver(recordSchema),
    defaultValues: { when: format(started, FIELD_TIME), note: '' },
  });
  const { errors } = formState;
  useEffect(() => {
    if (problem) setError(FIELDS[problem.path] ?? 'root', { message: problem.message });
  }, [problem, setError]);
  return (
    <View style={{ gap: space.large }}>
      <Controller
        control={control}
        name="when"
        render={({ field: { value, onChange } }) => (
          <TimeInput label="Started" kind="datetime-local" value={value} onChange={onChange} error={errors.when?.message} testID="record-when" />
        )}
      />
      <View>
        <Controller
          control={control}
          name="result"
          render={({ field: { value, onChange } }) => (
            <Choice
              label="How did it come out?"
              value={value ?? null}
              options={[
                { value: 'short', title: RESULT_WORDS.short, note: 'edges or joins still show' },
                { value: 'right', title: RESULT_WORDS.right, note: 'as wanted' },
                { value: 'past', title: RESULT_WORDS.past, note: 'too flat, too far' },
              ]}
              onChange={onChange}
              testID="result"
            />
          )}
        />
        {errors.result?.message && (
          <Words size="label" bold tone="warn" role="alert">
            {errors.result.message}
          </Words>
        )}
      </View>
      <Controller
        control={control}
        name="note"
        render={({ field: { value, onChange, onBlur } }) => (
          <Field
            label="Note"
            value={value}
            onChange={onChange}
            onBlur={onBlur}
            error={errors.note?.message}
            hint="place on the shelf, what was seen and when"
            multiline
            testID="record-note"
          />
        )}
      />
      {errors.root?.message && <Notice tone="warn">{errors.root.message}</Notice>}
      <Notice tone="care">
        Open only when it is cool; then tap it for a clear ring, and look through crossed polarisers before you cut or grind. Brush primer off wet, with a
        respirator.
      </Notice>
      <Action
        title="Save to the notebook"
        disabled={saving}
        testID="save-firing"
        onPress={() => void handleSubmit((valid) => onSave({ firedAt: valid.when, result: valid.result, note: valid.note }))()}
      />
    </View>
  );
}
