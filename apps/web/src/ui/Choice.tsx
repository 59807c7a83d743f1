/** One of a few, as a row of buttons. */
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { optionFrame } from './optionFrame';
import { Words } from './Words';

/** More than these run into further rows, where one that filled its row would look like another thing. */
const ONE_ROW = 4;

export interface ChoiceProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string; note?: string }[];
  onChange(value: T): void;
  testID?: string;
}

export function Choice<T extends string>({ label, value, options, onChange, testID }: ChoiceProps<T>) {
  const { colours } = useTheme();
  return (
    <View role="radiogroup" aria-label={label} style={{ gap: space.hair, marginBottom: space.medium }}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {options.map((option) => {
          const chosen = option.value === value;
          return (
            <Pressable
              key={option.value}
              role="radio"
              aria-checked={chosen}
              onPress={() => onChange(option.value)}
              testID={testID ? `${testID}-${option.value}` : undefined}
              style={{ ...optionFrame(colours, chosen, true), flexGrow: options.length > ONE_ROW ? 0 : 1 }}
            >
              <Words bold={chosen} tone={chosen ? 'onTouch' : 'touch'}>
                {option.title}
              </Words>
              {option.note !== undefined && (
                <Words size="note" tone={chosen ? 'onTouch' : 'muted'}>
                  {option.note}
                </Words>
              )}
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
