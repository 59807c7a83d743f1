/** One of a few to narrow by, or none: a touch on the chosen one lets go of it. One line that scrolls sideways. */
import { ScrollView } from 'react-native';
import { space } from '@/theme/theme';
import { Option } from './Option';

export interface ChipsProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string }[];
  onChange(value: T | null): void;
  testID: string;
}

export function Chips<T extends string>({ label, value, options, onChange, testID }: ChipsProps<T>) {
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
          <Option
            key={option.value}
            as="pressed"
            small
            chosen={chosen}
            title={option.title}
            onPress={() => onChange(chosen ? null : option.value)}
            testID={`${testID}-${option.value}`}
          />
        );
      })}
    </ScrollView>
  );
}
