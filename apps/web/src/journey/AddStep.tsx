/** What comes next in a journey: a firing, or one of the steps that hands do, as it is usual. */
import { BENCH_KINDS, type HandKind, type JourneyStep, addStep, handName, usualStep } from '@torvin/core/piece';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import type { Layup } from '@/layup/useLayup';

export interface AddStepProps {
  layup: Layup;
  /** Index in the journey where it comes. */
  place: number;
  /** The glass that a fill is usually of. */
  glassId: string;
  onAdded(id: string): void;
  onFire(): void;
}

const KINDS: readonly HandKind[] = ['lay', ...BENCH_KINDS];

/** As such a step usually is; its figures are changed where it stands. */
function begun(kind: HandKind, { layup, glassId }: Pick<AddStepProps, 'layup' | 'glassId'>): JourneyStep {
  const id = uuid();
  return kind === 'lay' ? { id, kind, side: 'above', layers: [] } : usualStep(kind, id, { footprint: layup.doc.footprint, glassId });
}

export function AddStep(props: AddStepProps) {
  const { layup, place, onAdded, onFire } = props;
  return (
    <View style={{ gap: space.hair, paddingVertical: space.small }} testID="add-kinds">
      <Words size="label" tone="muted">
        {place < layup.doc.journey.length ? `After step ${place} comes` : 'Next comes'}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title="Firing" testID="add-fire" onPress={onFire} />
        {KINDS.map((kind) => (
          <Action
            key={kind}
            kind="second"
            title={handName(kind)}
            testID={`add-step-${kind}`}
            onPress={() => {
              const step = begun(kind, props);
              layup.edit(addStep(layup.doc, step, place));
              onAdded(step.id);
            }}
          />
        ))}
      </View>
    </View>
  );
}
