/** A figure with its unit, in the condensed face with lining tabular digits. The unit is always there. */
import type { Figure } from '@torvin/core/units';
import KitText from '@rneui/themed/dist/Text';
import { memo } from 'react';
import { useTheme } from '@/theme/ThemeContext';
import { figureSize, fonts } from '@/theme/theme';

export interface FigureTextProps {
  value: Figure;
  size?: keyof typeof figureSize;
  bold?: boolean;
  tone?: 'ink' | 'muted' | 'warn' | 'touch';
}

/** Rests while its figure stays the same. */
export const FigureText = memo(
  function FigureText({ value, size = 'small', bold = true, tone = 'ink' }: FigureTextProps) {
    const { colours } = useTheme();
    const points = figureSize[size];
    const degrees = value.unit.startsWith('°') && !value.unit.includes('/') && size === 'large';
    return (
      <KitText
        {...({ dataSet: { figure: '' } } as object)}
        style={{
          fontFamily: bold ? fonts.figuresBold : fonts.figures,
          fontSize: points,
          lineHeight: Math.round(points * 1.15),
          color: colours[tone],
          fontVariant: ['lining-nums', 'tabular-nums'],
          // A figure and its unit are one.
          ...({ whiteSpace: 'nowrap' } as object),
        }}
      >
        {value.figure}
        {value.unit !== '' && (
          <KitText style={{ color: colours[tone], fontFamily: fonts.figures, fontSize: Math.max(14, Math.round(points * (degrees ? 0.5 : 0.62))) }}>
            {degrees ? '' : '\u00a0'}
            {value.unit}
          </KitText>
        )}
      </KitText>
    );
  },
  (a, b) => a.value.figure === b.value.figure && a.value.unit === b.value.unit && a.size === b.size && a.bold === b.bold && a.tone === b.tone,
);
