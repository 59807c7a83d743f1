/** The cutting list, line by line, and the way to paper. */
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import type { CutRow } from './cutRows';
import { CUT_LIST_PANEL } from './words';
import { WORDS } from '@/ui/said';

export function CutListPanel({ rows, pieceId, stepId }: { rows: readonly CutRow[]; pieceId: string; stepId: string }) {
  const router = useRouter();
  const scores = [...new Set(rows.map(({ score }) => score).filter(Boolean))];
  return (
    <View style={{ gap: space.small }}>
      <View role="list" aria-label={WORDS.cuttingList} style={{ gap: space.small }}>
        {rows.map(({ number, glass, colour, pieces, from, mass, grind }) => (
          <View key={number} role="listitem" style={{ flexDirection: 'row', gap: space.small, alignItems: 'flex-start' }} testID={`cut-row-${number}`}>
            <Swatch colour={colour} />
            <View style={{ flex: 1 }}>
              <Words bold>{CUT_LIST_PANEL.no(number, pieces)}</Words>
              <Words size="label" tone="muted">
                {`${from}, ${glass} · ${mass} · ${grind}`}
              </Words>
            </View>
          </View>
        ))}
      </View>
      {scores.map((words) => (
        <Words key={words} size="label">
          {words}
        </Words>
      ))}
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="second"
          title={CUT_LIST_PANEL.printThePlan}
          label={CUT_LIST_PANEL.printPlanCutting}
          testID="print-plan"
          onPress={() => router.push(`/pieces/${pieceId}/plan?at=${stepId}`)}
        />
      </View>
    </View>
  );
}
