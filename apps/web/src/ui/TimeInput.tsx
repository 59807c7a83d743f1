/** When something starts: a clock time that reads as all others here do, or the browser's own calendar field. */
import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parseISO } from 'date-fns/parseISO';
import { createElement, useId, useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { RADIUS, TARGET, fonts, wordSize } from '@/theme/theme';
import { Words } from './Words';
import { readClock } from './clock';
import { TIME_INPUT } from './said';

interface InputProps {
  label: string;
  error?: string;
  /** Of the field itself. */
  field: Record<string, unknown>;
  testID?: string;
}

function LabelledInput({ label, error, field, testID }: InputProps) {
  const { colours } = useTheme();
  const id = useId();
  return (
    <View style={{ gap: 4 }}>
      {createElement(
        'label',
        { htmlFor: id },
        <Words size="label" tone="muted">
          {label}
        </Words>,
      )}
      {createElement('input', {
        ...field,
        id,
        'data-testid': testID,
        'aria-invalid': error !== undefined,
        style: {
          minHeight: TARGET,
          boxSizing: 'border-box',
          padding: '0 8px',
          font: `400 ${wordSize.text}px ${fonts.words}`,
          color: colours.ink,
          background: colours.surface,
          border: `1px solid ${error ? colours.warn : colours.muted}`,
          borderRadius: RADIUS,
        },
      })}
      {error && (
        <Words size="label" bold tone="warn" role="alert" testID={testID && `${testID}-error`}>
          {error}
        </Words>
      )}
    </View>
  );
}

/** How the browser's field writes a day and a time. */
export const FIELD_TIME = "yyyy-MM-dd'T'HH:mm";

const HOUR_MS = 3600e3;

/**
 * What a field says, in the zone of this machine; undefined where it is no time, and where no clock showed it since it was put forward.
 * Of an hour that a clock showed twice the one nearer to near is meant: when it was before, or now.
 */
export function readFieldTime(written: string, near = Date.now()): Date | undefined {
  const time = parseISO(written);
  if (!isValid(time)) return undefined;
  const [first, ...others] = [0, -HOUR_MS, HOUR_MS].map((by) => new Date(time.getTime() + by)).filter((one) => format(one, FIELD_TIME) === written);
  return others.reduce<Date | undefined>((best, one) => (best && Math.abs(+best - near) <= Math.abs(+one - near) ? best : one), first);
}

export interface DayTimeInputProps {
  label: string;
  /** As the field writes it: '2026-11-23T18:30'. */
  value: string;
  onChange(value: string): void;
  error?: string;
  testID?: string;
}

export function DayTimeInput({ label, value, onChange, error, testID }: DayTimeInputProps) {
  const field = { type: 'datetime-local', value, onChange: (event: { target: { value: string } }) => onChange(event.target.value) };
  return <LabelledInput label={label} error={error} field={field} testID={testID} />;
}

export type DayInputProps = Omit<DayTimeInputProps, 'value'> & {
  /** '2026-11-23'. */
  value: string;
  hint?: string;
};

export function DayInput({ label, value, onChange, error, hint, testID }: DayInputProps) {
  const field = { type: 'date', value, onChange: (event: { target: { value: string } }) => onChange(event.target.value) };
  return (
    <View style={{ gap: 4 }}>
      <LabelledInput label={label} error={error} field={field} testID={testID} />
      {hint && (
        <Words size="note" tone="muted">
          {hint}
        </Words>
      )}
    </View>
  );
}

export interface ClockInputProps {
  label: string;
  value: Date;
  onChange(value: Date): void;
  testID?: string;
}

/** A time of the day of value, written '18:30' whatever the browser's habits; '1830', '6.30 pm' and '6pm' are read too. */
export function ClockInput({ label, value, onChange, testID }: ClockInputProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const take = (): void => {
    if (typed === null) return;
    const read = readClock(typed, value);
    setWrong(read === null);
    if (!read) return;
    setTyped(null);
    onChange(read);
  };
  const field = {
    type: 'text',
    inputMode: 'text',
    size: 6,
    value: typed ?? format(value, 'HH:mm'),
    onChange: (event: { target: { value: string } }) => setTyped(event.target.value),
    onFocus: (event: { target: HTMLInputElement }) => event.target.select(),
    onBlur: take,
    onKeyDown: (event: { key: string }) => event.key === 'Enter' && take(),
  };
  return <LabelledInput label={label} error={wrong ? TIME_INPUT.writeOrPm : undefined} field={field} testID={testID} />;
}
