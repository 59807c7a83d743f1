/** Running text in the five sizes of the type scale. */
import KitText from '@rneui/themed/dist/Text';
import { type ReactNode, memo } from 'react';
import type { TextProps } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, wordSize } from '@/theme/theme';
import { heldTogether } from './together';

export interface WordsProps extends Pick<TextProps, 'numberOfLines' | 'style' | 'nativeID' | 'testID' | 'role' | 'aria-live' | 'aria-hidden'> {
  'aria-level'?: number;
  size?: keyof typeof wordSize;
  bold?: boolean;
  tone?: 'ink' | 'muted' | 'touch' | 'warn' | 'onTouch';
  children: ReactNode;
}

/** Rests while its words stay the same. */
export const Words = memo(function Words({ size = 'text', bold = false, tone = 'ink', style, children, ...rest }: WordsProps) {
  const { colours } = useTheme();
  return (
    <KitText
      {...rest}
      style={[
        { fontFamily: bold ? fonts.wordsBold : fonts.words, fontSize: wordSize[size], lineHeight: Math.round(wordSize[size] * 1.35), color: colours[tone] },
        style,
      ]}
    >
      {heldTogether(children)}
    </KitText>
  );
});
