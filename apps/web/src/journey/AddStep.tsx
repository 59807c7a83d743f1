/** What comes next in a journey: a firing, or one of the steps that hands do, as it is usual. */
import { BENCH_KINDS, type HandKind, type JourneyStep, type Left, addStep, handName, usualStep } from '@torvin/core/piece';
import type { LengthUnit } from '@torvin/core/units';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import type { Layup } from '@/layup/useLayup';
import { ADD_STEP } from './words';
import { WORDS } from '@/ui/said';

export interface AddStepProps {
  layup: Layup;
  /** Index in the journey where it comes. */
  place: number;
  /** The glass that a fill is usually of. */
  glassId: string;
  /** What the firing before it left on the glass. */
  left: readonly Left[];
  onAdded(id: string): void;
  onFire(): void;
}

const KINDS: readonly HandKind[] = ['lay', ...BENCH_KINDS];

/** As such a step usually is; its figures are changed where it stands. */
function begun(kind: HandKind, { layup, glassId, left }: Pick<AddStepProps, 'layup' | 'glassId' | 'left'>, length: LengthUnit): JourneyStep {
  const id = uuid();
  return kind === 'lay' ? { id, kind, side: 'above', layers: [] } : usualStep(kind, id, { footprint: layup.doc.footprint, glassId, length, left });
}

export function AddStep(props: AddStepProps) {
  const { layup, place, onAdded, onFire } = props;
  const { length } = useUnits();
  return (
    <View style={{ gap: space.hair, paddingVertical: space.small }} testID="add-kinds">
      <Words size="label" tone="muted">
        {place < layup.doc.journey.length ? ADD_STEP.afterStepComes(place) : ADD_STEP.nextComes}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={WORDS.firing} testID="add-fire" onPress={onFire} />
        {KINDS.map((kind) => (
          <Action
            key={kind}
            kind="second"
            title={handName(kind)}
            testID={`add-step-${kind}`}
            onPress={() => {
              const step = begun(kind, props, length);
              layup.edit(addStep(layup.doc, step, place));
              onAdded(step.id);
            }}
          />
        ))}
      </View>
    </View>
  );
}
