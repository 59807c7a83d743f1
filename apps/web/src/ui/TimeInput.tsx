/** The browser's own clock and calendar fields. */
import { createElement, useId } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { RADIUS, TARGET, fonts, wordSize } from '@/theme/theme';
import { Words } from './Words';

export interface TimeInputProps {
  label: string;
  kind: 'time' | 'datetime-local';
  /** As the field writes it: '18:30' or '2026-11-23T18:30'. */
  value: string;
  onChange(value: string): void;
  error?: string;
  testID?: string;
}

export function TimeInput({ label, kind, value, onChange, error, testID }: TimeInputProps) {
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
        id,
        type: kind,
        value,
        'data-testid': testID,
        onChange: (event: { target: { value: string } }) => onChange(event.target.value),
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
        <Words size="label" bold tone="warn" role="alert">
          {error}
        </Words>
      )}
    </View>
  );
}
