/** One of a few, as a row of buttons. */
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Option } from './Option';
import { Words } from './Words';

/** More than these run into further rows, where one that filled its row would look like another thing. */
const ONE_ROW = 4;

export interface ChoiceProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string; note?: string; mark?: ReactNode }[];
  onChange(value: T): void;
  testID?: string;
}

export function Choice<T extends string>({ label, value, options, onChange, testID }: ChoiceProps<T>) {
  return (
    <View role="radiogroup" aria-label={label} style={{ gap: space.hair, marginBottom: space.medium }}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, maxWidth: options.length * COLUMN_WIDTH }}>
        {options.map((option) => (
          <Option
            key={option.value}
            as="radio"
            chosen={option.value === value}
            title={option.title}
            note={option.note}
            mark={option.mark}
            grows={options.length <= ONE_ROW}
            onPress={() => onChange(option.value)}
            testID={testID && `${testID}-${option.value}`}
          />
        ))}
      </View>
    </View>
  );
}
