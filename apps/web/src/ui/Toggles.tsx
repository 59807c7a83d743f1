/** Any of a few, each on or off. */
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { optionFrame } from './optionFrame';
import { Words } from './Words';

export interface TogglesProps<T extends string> {
  label: string;
  values: readonly T[];
  options: readonly { value: T; title: string }[];
  onChange(values: T[]): void;
  testID: string;
}

export function Toggles<T extends string>({ label, values, options, onChange, testID }: TogglesProps<T>) {
  const { colours } = useTheme();
  return (
    <View role="group" aria-label={label} style={{ gap: space.hair }}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {options.map(({ value, title }) => {
          const on = values.includes(value);
          return (
            <Pressable
              key={value}
              role="checkbox"
              aria-checked={on}
              onPress={() => onChange(on ? values.filter((one) => one !== value) : [...values, value])}
              testID={`${testID}-${value}`}
              style={optionFrame(colours, on, false)}
            >
              <Words bold={on} tone={on ? 'ink' : 'touch'}>
                {on ? `✓ ${title}` : title}
              </Words>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
