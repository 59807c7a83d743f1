/** One of a few to narrow by, or none: a tap on the chosen one clears it. One line that scrolls sideways, or as many lines as they need. */
import { ScrollView, View } from 'react-native';
import { space } from '@/theme/theme';
import { Option } from './Option';

export interface ChipsProps<T extends string> {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string }[];
  onChange(value: T | null): void;
  /** All of them in sight. */
  wraps?: boolean;
  testID: string;
}

export function Chips<T extends string>({ label, value, options, onChange, wraps = false, testID }: ChipsProps<T>) {
  const chips = options.map((option) => {
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
  });
  if (wraps)
    return (
      <View role="group" aria-label={label} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {chips}
      </View>
    );
  return (
    <ScrollView
      horizontal
      showsHorizontalScrollIndicator={false}
      role="group"
      aria-label={label}
      contentContainerStyle={{ alignItems: 'center', gap: space.small, paddingVertical: space.hair }}
    >
      {chips}
    </ScrollView>
  );
}
