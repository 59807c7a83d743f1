/** The browser's own slider, tall enough to touch: keys, pointer and speech come with it; the kit's knows no keys and tells no value. */
import { createElement, useId } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET } from '@/theme/theme';
import { Words } from './Words';

export interface SliderProps {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** What the value means, said and shown. */
  shown: string;
  onChange(value: number): void;
  testID: string;
}

export function Slider({ label, value, least, most, step, shown, onChange, testID }: SliderProps) {
  const { colours } = useTheme();
  const id = useId();
  return (
    <View>
      {createElement(
        'label',
        { htmlFor: id },
        <Words size="label" tone="muted">
          {label}
        </Words>,
      )}
      <Words bold>{shown}</Words>
      {createElement('input', {
        id,
        type: 'range',
        min: least,
        max: most,
        step,
        value,
        'aria-valuetext': shown,
        'data-testid': testID,
        onChange: (event: { target: { value: string } }) => onChange(Number(event.target.value)),
        style: { width: '100%', height: TARGET, margin: 0, accentColor: colours.touch },
      })}
    </View>
  );
}
