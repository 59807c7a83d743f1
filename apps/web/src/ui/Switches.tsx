/** Whether the server answers, °C or °F, light or dark: at hand on every page. Each button says what a touch changes to. */
import { memo } from 'react';
import { View } from 'react-native';
import { useSaveStudio, useStudio } from '@/data/studio';
import { useTheme } from '@/theme/ThemeContext';
import { Action } from './Action';
import { ConnectionWord } from './Connection';

export const Switches = memo(function Switches() {
  const { temperatureUnit } = useStudio();
  const { name } = useTheme();
  const save = useSaveStudio();
  const otherUnit = temperatureUnit === 'C' ? 'F' : 'C';
  const otherTheme = name === 'light' ? 'dark' : 'light';
  return (
    <View style={{ flexDirection: 'row', flexShrink: 0 }}>
      <ConnectionWord />
      <Action
        kind="plain"
        title={`°${otherUnit}`}
        label={`Show temperatures in °${otherUnit}`}
        testID="switch-unit"
        onPress={() => save({ temperatureUnit: otherUnit })}
      />
      <Action
        kind="plain"
        title={otherTheme === 'dark' ? 'Dark' : 'Light'}
        label={`Use the ${otherTheme} theme`}
        testID="switch-theme"
        onPress={() => save({ theme: otherTheme })}
      />
    </View>
  );
});
