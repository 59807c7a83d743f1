/**
 * A labelled figure; with a bar only where there is a limit to show it against. Where the other unit is given, a tap shows
 * the figure in it.
 */
import { type Figure, text } from '@torvin/core/units';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, scaled } from '@/theme/theme';
import { FigureText } from './FigureText';
import { Hidden } from './Hidden';
import { Words } from './Words';
import { FIGURE_BLOCK } from './said';

export interface FigureBlockProps {
  label: string;
  value: Figure;
  /** The same in the other unit. */
  other?: Figure;
  note?: string;
  /** The note where the figure is shown in the other unit. */
  otherNote?: string;
  /** Share of the limit that is used, 1 at the limit. */
  share?: number;
  broken?: boolean;
  /** Has more room than those beside it: two figures stand in it. */
  wide?: boolean;
  /** Told of a touch, besides what it shows. */
  onTouch?(): void;
  testID?: string;
}

const WIDE = 1.5;

export function FigureBlock({ value, other, otherNote, wide = false, onTouch, testID, ...rest }: FigureBlockProps) {
  const [turned, setTurned] = useState(false);
  if (!other && !onTouch) {
    return (
      <View style={{ flex: wide ? WIDE : 1, minWidth: scaled(72) }} testID={testID}>
        <Block value={value} {...rest} />
      </View>
    );
  }
  return (
    <Pressable
      role="button"
      onPress={() => {
        setTurned(!turned);
        onTouch?.();
      }}
      {...({ dataSet: { turned: String(turned) } } as object)}
      style={{ flex: wide ? WIDE : 1, minWidth: scaled(72), minHeight: TARGET }}
      testID={testID}
    >
      <Block value={turned && other ? other : value} {...rest} note={turned ? (otherNote ?? rest.note) : rest.note} />
      {other && (
        <Hidden>
          <Words>{FIGURE_BLOCK.or(text(turned ? value : other))}</Words>
        </Hidden>
      )}
    </Pressable>
  );
}

/** Of a bar, for a share of its limit. */
export const shareWidth = (share: number): `${number}%` => `${Math.round(Math.min(Math.max(share, 0), 1) * 100)}%`;

function Block({ label, value, note, share, broken = false }: Omit<FigureBlockProps, 'other' | 'otherNote' | 'onTouch' | 'testID'>) {
  const { colours } = useTheme();
  return (
    <>
      <Words size="note" tone="muted">
        {label}
      </Words>
      <FigureText value={value} size="medium" tone={broken ? 'warn' : 'ink'} />
      {share !== undefined && (
        // Drawn by borders: where a browser has its own colours for all, it leaves out what is filled.
        <View style={{ height: 6, backgroundColor: colours.line, borderBottomWidth: 1, borderColor: colours.line, marginVertical: 3 }} aria-hidden>
          <View
            {...({ dataSet: { share: '' } } as object)}
            style={{ width: shareWidth(share), borderTopWidth: 5, borderColor: broken ? colours.warn : colours.ink }}
          />
        </View>
      )}
      {note !== undefined && (
        <Words size="note" tone={broken ? 'warn' : 'muted'} bold={broken}>
          {note}
        </Words>
      )}
    </>
  );
}
