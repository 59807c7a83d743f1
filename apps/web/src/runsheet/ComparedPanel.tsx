/** The schedule in hand beside the computed one: what differs in words, what that does in figures. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, consequences, segmentDifferences } from '@torvin/core/schedule';
import type { Schedule } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { COMPARED_PANEL } from './words';

export interface ComparedPanelProps {
  computed: Schedule;
  schedule: Schedule;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
}

export function ComparedPanel({ computed, schedule, segments, evaluation }: ComparedPanelProps) {
  const units = useUnits();
  const lines = segmentDifferences(computed.segments, segments, units.temperature);
  return (
    <View>
      {lines.length === 0 ? (
        <Words>{COMPARED_PANEL.nothingDiffersCalculated}</Words>
      ) : (
        lines.map((line) => (
          <Words key={line} testID="difference">
            {line}
          </Words>
        ))
      )}
      <SideBySide
        heads={[COMPARED_PANEL.asCalculated, COMPARED_PANEL.inHand]}
        rows={consequences({ firing: computed.snapshot.firing, evaluation: computed.result }, { firing: schedule.snapshot.firing, evaluation }, units)}
        testID="compared-with-computed"
      />
    </View>
  );
}
