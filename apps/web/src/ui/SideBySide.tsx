/** Figures of two things or more side by side, those that differ from the first standing out. */
import { type Consequence, TERMS } from '@torvin/core/schedule';
import { type Figure, text } from '@torvin/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { SIDE_BY_SIDE } from './said';

export interface SideBySideProps {
  /** What the columns are. */
  heads: readonly string[];
  /** more: of further things, behind the second. */
  rows: readonly (Consequence & { more?: readonly Figure[] })[];
  testID: string;
}

export function SideBySide({ heads, rows, testID }: SideBySideProps) {
  const { colours } = useTheme();
  const [explained, setExplained] = useState(false);
  const terms = rows.filter(({ what }) => what in TERMS);
  const line = { flexDirection: 'row', gap: space.small, paddingVertical: space.hair, borderBottomWidth: 1, borderColor: colours.line } as const;
  return (
    <View>
      <View role="table" testID={testID}>
        <View role="row" style={line}>
          <View role={'columnheader' as never} style={{ flex: 1 }}>
            <Words size="note" tone="muted">
              {SIDE_BY_SIDE.figure}
            </Words>
          </View>
          {heads.map((head, i) => (
            <View key={i} role={'columnheader' as never} style={{ flex: 1 }}>
              <Words size="note" tone="muted" numberOfLines={2}>
                {head}
              </Words>
            </View>
          ))}
        </View>
        {rows.map(({ what, before, after, differs, more = [] }) => (
          <View key={what} role="row" style={line}>
            <View role={'rowheader' as never} style={{ flex: 1 }}>
              <Words size="label" tone="muted">
                {what}
              </Words>
            </View>
            <View role={'cell' as never} style={{ flex: 1 }}>
              <Words>{text(before)}</Words>
            </View>
            <View role={'cell' as never} style={{ flex: 1 }}>
              <Words bold={differs}>{text(after)}</Words>
            </View>
            {more.map((figure, i) => (
              <View key={i} role={'cell' as never} style={{ flex: 1 }}>
                <Words bold={text(figure) !== text(before)}>{text(figure)}</Words>
              </View>
            ))}
          </View>
        ))}
      </View>
      {terms.length > 0 && (
        <View style={{ alignItems: 'flex-start' }}>
          <Action
            kind="plain"
            title={explained ? SIDE_BY_SIDE.enoughOfThat : SIDE_BY_SIDE.whatDoThese}
            testID={`${testID}-terms`}
            onPress={() => setExplained(!explained)}
          />
          {explained &&
            terms.map(({ what }) => (
              <Words key={what} size="label">
                {`${what[0].toUpperCase()}${what.slice(1)}: ${TERMS[what]}`}
              </Words>
            ))}
        </View>
      )}
    </View>
  );
}
