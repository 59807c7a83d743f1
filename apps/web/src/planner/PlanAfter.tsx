/** A firing that is offered after another: to be planned right behind it by a touch, or there already. */
import { addStep, placeOf, snapshotOf } from '@torvin/core/piece';
import { impossibleFiring } from '@torvin/core/schedule';
import type { Shelves, Step } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { planHref } from '@/ui/hrefs';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import type { Layup } from '@/layup/useLayup';

export interface PlanAfterProps {
  layup: Layup;
  pieceId: string;
  /** The firing that it comes after. */
  step: Step;
  shelves: Shelves;
  planned: Pick<Step, 'look' | 'setup'>;
  isMain: boolean;
  titles: { plan: string; there: string };
  testIDs: { plan: string; there: string };
  /** Looks at the one that is there. */
  onOpen(stepId: string): void;
}

export function PlanAfter({ layup, pieceId, step, shelves, planned, isMain, titles, testIDs, onOpen }: PlanAfterProps) {
  const units = useUnits();
  const router = useRouter();
  const [id] = useState(() => uuid());
  const { doc } = layup;
  const place = placeOf(doc, step.id) + 1;
  const after = doc.journey[place];
  if (after?.kind === 'fire' && after.look === planned.look)
    return <Action kind="second" title={titles.there} testID={testIDs.there} onPress={() => onOpen(after.id)} />;
  const { kilnId, controllerId, school } = step;
  const next: Step = { kind: 'fire', id, ...planned, kilnId, controllerId, school, scheduleId: null, computedId: null };
  const edited = addStep(doc, next, place);
  const fires = edited.ok ? snapshotOf(edited.value.doc, next, shelves) : edited;
  const impossible = fires.ok ? impossibleFiring(fires.value.firing, units.length) : fires.problem;
  if (impossible) return <Notice tone="warn">{impossible.message}</Notice>;
  return (
    <Action
      kind={isMain ? 'main' : 'second'}
      title={titles.plan}
      testID={testIDs.plan}
      onPress={() => {
        layup.edit(edited);
        router.push(planHref(pieceId, { step: id }));
      }}
    />
  );
}
