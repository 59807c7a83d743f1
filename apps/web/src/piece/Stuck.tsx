/** After a firing in or over a form: the piece will not come off. What frees it, and the firing that does, put into the journey by a touch. */
import { RECIPES, addStep, impossibleFiring, placeOf, rescueIn, snapshotOf, stuckOn } from '@torvin/core';
import type { Shelves, Step } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { RescueCard } from './RescueCard';
import type { Layup } from './useLayup';

export interface StuckProps {
  layup: Layup;
  /** The firing it came from. */
  step: Step;
  shelves: Shelves;
  onOpen(stepId: string): void;
}

export function Stuck({ layup, step, shelves, onOpen }: StuckProps) {
  const units = useUnits();
  const { stuck } = useLocalSearchParams<{ stuck?: string }>();
  const snapshot = RECIPES[step.look].ware || RECIPES[step.look].frees ? null : snapshotOf(layup.doc, step, shelves);
  if (!snapshot?.ok) return null;
  const { firing, setup } = snapshot.value;
  const on = stuckOn(setup, firing);
  const rescue = on && rescueIn(on, firing, units);
  if (!rescue) return null;
  return (
    <View style={{ marginHorizontal: -space.large }}>
      <Fold
        title="It is stuck"
        about={rescue.warms === 'first' ? 'never by cold: it is warmed upside down' : 'tapped, soaked; warmed where that fails'}
        opened={stuck === 'yes'}
        testID="stuck"
      >
        {() => (
          <View style={{ gap: space.small }}>
            <RescueCard rescue={rescue} asTyped={!setup.form} />
            <FreedBy layup={layup} step={step} shelves={shelves} isFirst={rescue.warms === 'first'} onOpen={onOpen} />
          </View>
        )}
      </Fold>
    </View>
  );
}

/** The firing that frees it, after the one it came from: to be planned, or there already. */
function FreedBy({ layup, step, shelves, isFirst, onOpen }: StuckProps & { isFirst: boolean }) {
  const units = useUnits();
  const [id] = useState(() => uuid());
  const { doc } = layup;
  const place = placeOf(doc, step.id) + 1;
  const after = doc.journey[place];
  if (after?.kind === 'fire' && RECIPES[after.look].frees)
    return <Action kind="second" title="To the firing that frees it" testID="to-rescue" onPress={() => onOpen(after.id)} />;
  const { kilnId, controllerId, school } = step;
  const loosen: Step = {
    ...{ kind: 'fire', id, look: 'loosen', kilnId, controllerId, school, scheduleId: null, computedId: null },
    setup: { kind: 'onPosts', paper: false, ...(step.setup.form ? { form: step.setup.form } : {}) },
  };
  const edited = addStep(doc, loosen, place);
  const fires = edited.ok ? snapshotOf(edited.value.doc, loosen, shelves) : edited;
  const impossible = fires.ok ? impossibleFiring(fires.value.firing, units.length) : fires.problem;
  if (impossible) return <Notice tone="warn">{impossible.message}</Notice>;
  return (
    <Action
      kind={isFirst ? 'main' : 'second'}
      title="Plan the firing that frees it"
      testID="plan-rescue"
      onPress={() => {
        layup.edit(edited);
        onOpen(id);
      }}
    />
  );
}
