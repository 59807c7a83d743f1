/** The next trial of a test series, planned by a touch; of grains also three that lie on one shelf. */
import { factorFigure, type Series } from '@torvin/core/schedule';
import { text } from '@torvin/core/units';
import type { FiringDetail } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { usePiece, useShelves } from '@/data/pieces';
import { compute } from '@/engine/client';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { putSchedule } from '@/planner/putSchedule';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { runHref } from '@/ui/hrefs';
import { PLANNED_FACTORS, trialPlan } from './trialPlan';
import { SERIES } from './words';

export interface PlanTrialProps {
  details: readonly FiringDetail[];
  series: Series;
  next: number;
  range: readonly [number, number];
}

export function PlanTrial({ details, series: { factor, trials }, next, range }: PlanTrialProps) {
  const units = useUnits();
  const router = useRouter();
  const client = useQueryClient();
  const outbox = useOutbox();
  const [working, setWorking] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const counted = trials.find(({ refired, alsoChanged }) => !refired && !alsoChanged);
  const detail = details.find(({ firing }) => firing.id === counted?.id) ?? details[0];
  const piece = usePiece(detail.firing.pieceId);
  const { data: shelves } = useShelves();
  if (!PLANNED_FACTORS.includes(factor)) return <Words>{SERIES.layItUp}</Words>;
  if (!piece.data || !shelves) return null;
  const like = piece.data;
  async function planned(value: number): Promise<string> {
    if (!shelves) throw new Error(SERIES.pieceChanged);
    const plan = trialPlan({ detail, piece: like, shelves, factor, value, newId: uuid });
    if (!plan.ok) throw new Error(plan.problem.message);
    const { doc, step, snapshot, segments } = plan.value;
    const judged = await compute('evaluate', { firing: snapshot.firing, segments });
    if (!judged.ok) throw new Error(judged.problem.message);
    const [id, name] = [uuid(), SERIES.trialOf(detail.firing.pieceName, text(factorFigure(factor, value, units)))];
    outbox.put('createPiece', { id, name, doc });
    putSchedule(client, outbox, {
      ...{ on: { id, name, doc, version: 0 }, doc, what: '', step, parentId: null, origin: 'edited', segments, snapshot },
      result: judged.value,
    });
    return runHref(id, step.id);
  }
  async function plan(values: readonly number[]): Promise<void> {
    setWorking(true);
    setFault(null);
    try {
      const hrefs: string[] = [];
      for (const value of values) hrefs.push(await planned(value));
      if (values.length === 1) router.push(hrefs[0] as ReturnType<typeof runHref>);
      else router.push('/pieces');
    } catch (error) {
      setFault(error instanceof Error ? error.message : problemOfError(error).message);
    }
    setWorking(false);
  }
  return (
    <View style={{ gap: space.small }}>
      {fault !== null && <Notice tone="warn">{fault}</Notice>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={SERIES.plan} testID="plan-trial" disabled={working} onPress={() => void plan([next])} />
        {factor === 'amount' && (
          <Action kind="second" title={SERIES.three} testID="plan-three" disabled={working} onPress={() => void plan([range[0], next, range[1]])} />
        )}
      </View>
    </View>
  );
}
