/** One of a few to narrow by, or none: a touch on the chosen one lets go of it. One line that scrolls sideways. */
import { Pressable, ScrollView } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { optionFrame } from './optionFrame';
import { Words } from './Words';

export interface ChipsProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string }[];
  onChange(value: T | null): void;
  testID: string;
}

export function Chips<T extends string>({ label, value, options, onChange, testID }: ChipsProps<T>) {
  const { colours } = useTheme();
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="group"
      aria-label={label}
      contentContainerStyle={{ alignItems: 'center', gap: space.small, paddingVertical: space.hair }}
    >
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="button"
            aria-pressed={chosen}
            onPress={() => onChange(chosen ? null : option.value)}
            testID={`${testID}-${option.value}`}
            style={optionFrame(colours, chosen, true)}
          >
            <Words size="label" bold={chosen} tone={chosen ? 'onTouch' : 'touch'}>
              {option.title}
            </Words>
          </Pressable>
        );
      })}
    </ScrollView>
  );
}
