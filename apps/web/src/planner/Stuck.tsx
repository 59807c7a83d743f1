/** After a firing in or over a form: the piece will not come off. What frees it, and the firing that does, put into the journey by a touch. */
import { RECIPES } from '@torvin/core/look';
import { rescueIn, snapshotOf, stuckOn } from '@torvin/core/piece';
import type { Shelves, Step } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { PlanAfter } from './PlanAfter';
import { RescueCard } from './RescueCard';
import type { Layup } from '@/layup/useLayup';
import { STUCK } from './words';

export interface StuckProps {
  layup: Layup;
  pieceId: string;
  /** The firing it came from. */
  step: Step;
  shelves: Shelves;
  onOpen(stepId: string): void;
}

export function Stuck({ layup, pieceId, step, shelves, onOpen }: StuckProps) {
  const units = useUnits();
  const { stuck } = useLocalSearchParams<{ stuck?: string }>();
  const snapshot = RECIPES[step.look].empty || RECIPES[step.look].frees ? null : snapshotOf(layup.doc, step, shelves);
  if (!snapshot?.ok) return null;
  const { firing, setup } = snapshot.value;
  const on = stuckOn(setup, firing);
  const rescue = on && rescueIn(on, firing, units);
  if (!rescue) return null;
  return (
    <View style={{ marginHorizontal: -space.large }}>
      <Fold title={STUCK.itIsStuck} about={rescue.warms === 'first' ? STUCK.neverColdWarmed : STUCK.tappedSoakedWarmed} opened={stuck === 'yes'} testID="stuck">
        {() => (
          <View style={{ gap: space.small }}>
            <RescueCard rescue={rescue} asTyped={!setup.form} />
            <PlanAfter
              {...{ layup, pieceId, step, shelves, onOpen }}
              planned={{ look: 'loosen', setup: { kind: 'onPosts', paper: false, ...(step.setup.form ? { form: step.setup.form } : {}) } }}
              isMain={rescue.warms === 'first'}
              titles={{ plan: STUCK.planFiringFrees, there: STUCK.firingFrees }}
              testIDs={{ plan: 'plan-rescue', there: 'to-rescue' }}
            />
          </View>
        )}
      </Fold>
    </View>
  );
}
