/** A labelled figure; with a bar only where there is a limit to show it against. */
import type { Figure } from '@torvin/core';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { FigureText } from './FigureText';
import { Words } from './Words';

export interface FigureBlockProps {
  label: string;
  value: Figure;
  note?: string;
  /** Share of the limit that is used, 1 at the limit. */
  share?: number;
  broken?: boolean;
  testID?: string;
}

export function FigureBlock({ label, value, note, share, broken = false, testID }: FigureBlockProps) {
  const { colours } = useTheme();
  return (
    <View style={{ flex: 1, minWidth: 72 }} testID={testID}>
      <Words size="note" tone="muted">
        {label}
      </Words>
      <FigureText value={value} size="medium" tone={broken ? 'warn' : 'ink'} />
      {share !== undefined && (
        <View style={{ height: 5, backgroundColor: colours.line, marginVertical: 3 }} aria-hidden>
          <View style={{ height: 5, width: `${Math.round(Math.min(Math.max(share, 0), 1) * 100)}%`, backgroundColor: broken ? colours.warn : colours.ink }} />
        </View>
      )}
      {note !== undefined && (
        <Words size="note" tone={broken ? 'warn' : 'muted'} bold={broken}>
          {note}
        </Words>
      )}
    </View>
  );
}
