/** On or off, on the kit's check box: its own marks come from an icon family that is not shipped, and it does not say its state. */
import KitCheckBox from '@rneui/themed/dist/CheckBox';
import type { ReactElement } from 'react';
import type { ViewStyle } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { spaceChooses } from './spaceChooses';

export interface TickProps {
  on: boolean;
  title: string | ReactElement<object>;
  onPress(): void;
  /** The mark stands behind what it ticks. */
  behind?: boolean;
  style?: ViewStyle;
  testID: string;
}

export function Tick({ on, title, onPress, behind = false, style = {}, testID }: TickProps) {
  return (
    <KitCheckBox
      aria-checked={on}
      {...spaceChooses(onPress)}
      checked={on}
      title={title}
      onPress={onPress}
      iconRight={behind}
      checkedIcon={<TickMark on />}
      uncheckedIcon={<TickMark on={false} />}
      containerStyle={style}
      testID={testID}
    />
  );
}

export function TickMark({ on }: { on: boolean }) {
  const { colours } = useTheme();
  return (
    <Svg width={24} height={24} viewBox="0 0 24 24" style={{ flexShrink: 0 }} aria-hidden>
      <Rect x={2} y={2} width={20} height={20} fill="none" stroke={on ? colours.touch : colours.muted} strokeWidth={2} />
      {on && <Path d="M6 12.5 L10.5 17 L18 7" fill="none" stroke={colours.touch} strokeWidth={3} />}
    </Svg>
  );
}
