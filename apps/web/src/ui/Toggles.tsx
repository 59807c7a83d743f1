/** Any of a few, each on or off. */
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Tick } from './Tick';
import { Words } from './Words';

export interface TogglesProps<T extends string> {
  label: string;
  values: readonly T[];
  options: readonly { value: T; title: string }[];
  onChange(values: T[]): void;
  testID: string;
}

export function Toggles<T extends string>({ label, values, options, onChange, testID }: TogglesProps<T>) {
  return (
    <View role="group" aria-label={label}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        {options.map(({ value, title }) => {
          const on = values.includes(value);
          return (
            <Tick
              key={value}
              on={on}
              title={title}
              onPress={() => onChange(on ? values.filter((one) => one !== value) : [...values, value])}
              testID={`${testID}-${value}`}
            />
          );
        })}
      </View>
    </View>
  );
}
