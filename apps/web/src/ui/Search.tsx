/** Words to find by. */
import KitSearchBar from '@rneui/themed/dist/SearchBar';
import { View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { SEARCH } from './said';

export interface SearchProps {
  label: string;
  value: string;
  onChange(text: string): void;
  hint: string;
  testID: string;
}

/** The glass and the cross are ours: the kit's come from an icon family that is not shipped, and its glass calls itself a button. */
export function Search({ label, value, onChange, hint, testID }: SearchProps) {
  const { colours } = useTheme();
  return (
    <View style={{ maxWidth: COLUMN_WIDTH }}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <KitSearchBar
        aria-label={label}
        value={value}
        onChangeText={onChange}
        testID={testID}
        searchIcon={
          <Svg width={20} height={20} viewBox="0 0 20 20" aria-hidden>
            <Circle cx={8} cy={8} r={6} fill="none" stroke={colours.muted} strokeWidth={2} />
            <Path d="M12.5 12.5 L18 18" stroke={colours.muted} strokeWidth={2} />
          </Svg>
        }
        clearIcon={value !== '' && <Action kind="plain" title="×" label={SEARCH.clearTheSearch} onPress={() => onChange('')} testID={`${testID}-clear`} />}
      />
      <Words size="note" tone="muted">
        {hint}
      </Words>
    </View>
  );
}
