/** The run sheet on one page, to be printed: nothing else on the paper. */
import { createElement, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { firingName } from '@/layup/describe';
import { OutdatedChoice } from '@/planner/OutdatedChoice';
import { runHref } from '@/ui/hrefs';
import type { StepPageParts } from '@/planner/useStepPage';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Screen } from '@/ui/Screen';
import { OnPaper } from '@/paper/OnPaper';
import { PAGE } from '@/paper/page';
import { runSheetSvg } from './runSheetSvg';
import { PRINT_SCREEN } from './words';
import { WORDS } from '@/ui/said';

export function PrintScreen({ piece, step, schedule, shelves, outdated, standing, start }: StepPageParts & { start: Date }) {
  // Paper outlives the screen: an outdated schedule is printed only when the person has said so, with what differs on it.
  const [asItIs, setAsItIs] = useState(false);
  const decided = outdated.length === 0 || asItIs;
  const units = useUnits();
  const { firing } = schedule.snapshot;
  const { value } = useComputed('evaluate', { firing, segments: schedule.segments, series: true });
  const page = runSheetSvg({ piece, schedule, series: value?.simulation.series, units, start, differences: outdated, asItIs, standing });
  return (
    <Screen
      title={WORDS.print}
      of={piece.name}
      subtitle={PRINT_SCREEN.onePageA4}
      back={{ title: firingName(schedule.snapshot.firing), href: runHref(piece.id, schedule.stepId) }}
    >
      <View style={{ gap: space.large }}>
        <OutdatedChoice
          piece={piece}
          step={step}
          shelves={shelves}
          differences={outdated}
          asItIs={decided ? undefined : { title: PRINT_SCREEN.printItAs, onPress: () => setAsItIs(true) }}
        />
        {decided && (
          <>
            <OnPaper page={() => page} />
            <Action title={WORDS.print} disabled={!value} testID="print" onPress={() => window.print()} />
            {createElement('img', {
              'data-testid': 'print-page',
              alt: PRINT_SCREEN.runSheetSegments(piece.name, schedule.segments.length),
              src: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(page)}`,
              style: { width: '100%', maxWidth: PAGE.width, display: 'block' },
            })}
          </>
        )}
      </View>
    </Screen>
  );
}
