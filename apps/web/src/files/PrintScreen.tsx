/** The run sheet on one page, to be printed: nothing else on the paper. */
import type { Piece, Schedule } from '@torvin/schema';
import { createElement, useEffect } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { stepName } from '@/piece/describe';
import { runHref } from '@/piece/StepChain';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Screen } from '@/ui/Screen';
import { PAGE, runSheetSvg } from './runSheetSvg';

/** Paper shows the page alone; margins are the page's own. */
const ON_PAPER = `@page { margin: 0 }
@media print {
  body { overflow: visible !important; background: white !important }
  body * { visibility: hidden }
  .run-sheet-page, .run-sheet-page * { visibility: visible }
  .run-sheet-page { position: fixed; left: 0; top: 0; width: 100vw; max-width: none !important }
}`;

export function PrintScreen({ piece, schedule, start }: { piece: Piece; schedule: Schedule; start: Date }) {
  const units = useUnits();
  const { firing } = schedule.snapshot;
  const { value } = useComputed('evaluate', { firing, segments: schedule.segments, series: true });
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = ON_PAPER;
    document.head.append(style);
    return () => style.remove();
  }, []);
  const page = runSheetSvg({ piece, schedule, series: value?.simulation.series, units, start });
  return (
    <Screen title="Print" subtitle="one page, A4 or Letter" back={{ title: stepName(schedule.snapshot.firing), href: runHref(piece.id, schedule.stepId) }}>
      <View style={{ gap: space.large }}>
        <Action title="Print" disabled={!value} testID="print" onPress={() => window.print()} />
        {createElement('img', {
          className: 'run-sheet-page',
          'data-testid': 'print-page',
          alt: `Run sheet of ${piece.name}: ${schedule.segments.length} segments`,
          src: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(page)}`,
          style: { width: '100%', maxWidth: PAGE.width, display: 'block' },
        })}
      </View>
    </Screen>
  );
}
