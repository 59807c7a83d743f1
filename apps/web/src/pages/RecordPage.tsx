import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/data/client';
import { useRecordFiring } from '@/data/pieces';
import { RecordForm } from '@/notebook/RecordForm';
import { OutdatedNotice } from '@/piece/OutdatedNotice';
import { stepName } from '@/piece/describe';
import { runHref } from '@/piece/StepChain';
import { useStepPage } from '@/piece/useStepPage';
import { Held } from '@/ui/Held';
import { Screen } from '@/ui/Screen';

export function RecordPage() {
  const { started } = useLocalSearchParams<{ started?: string }>();
  const router = useRouter();
  const page = useStepPage('Record the firing');
  const record = useRecordFiring(page.ready ? page.piece.id : '');
  // The same id for every try, so that a repeated save records one firing.
  const [firingId] = useState(() => uuid());
  const [begin] = useState(() => Number(started) || Date.now());
  if (!page.ready) return page.shown;
  const { piece, step, schedule, outdated } = page;
  return (
    <Screen title="Record the firing" subtitle={`${stepName(step)} of ${piece.name}`} back={{ title: stepName(step), href: runHref(piece.id, step.id) }}>
      <OutdatedNotice differences={outdated} />
      {record.isPaused && <Held />}
      <RecordForm
        told={{ firedAt: begin, place: '', result: null, lookReached: null, note: '', asFired: null, photos: [], knownBy: '' }}
        schedule={schedule}
        problem={record.error ? problemOfError(record.error) : null}
        saving={record.isPending}
        onSave={(told) =>
          record.mutate(
            {
              id: firingId,
              pieceId: piece.id,
              scheduleId: schedule.id,
              zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
              asItIs: outdated.length > 0,
              ...told,
            },
            { onSuccess: () => router.replace(`/notebook/${firingId}`) },
          )
        }
      />
    </Screen>
  );
}
