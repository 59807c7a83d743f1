import { NO_LESSON } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { type RecordEntry, RecordForm } from '@/notebook/RecordForm';
import { OutdatedNotice } from '@/piece/OutdatedNotice';
import { firingName } from '@/piece/describe';
import { runHref } from '@/piece/StepChain';
import { inFormUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { useSave } from '@/outbox/useOutbox';
import { type StepPageParts, useStepPage } from '@/piece/useStepPage';
import { Screen } from '@/ui/Screen';

export function RecordFiringPage() {
  const page = useStepPage('Record the firing');
  return page.ready ? <RecordPage {...page} /> : page.shown;
}

const RecordPage = inFormUnits(Record);

function Record({ piece, step, schedule, outdated }: StepPageParts) {
  const { started } = useLocalSearchParams<{ started?: string }>();
  const router = useRouter();
  const record = useSave('recordFiring');
  const draft = useDraft<RecordEntry>(`record ${schedule.id}`);
  // The same id for every try, so that a repeated save records one firing.
  const [firingId] = useState(() => uuid());
  const [begin] = useState(() => Number(started) || Date.now());
  return (
    <Screen title="Record the firing" subtitle={`${firingName(step)} of ${piece.name}`} back={{ title: firingName(step), href: runHref(piece.id, step.id) }}>
      <OutdatedNotice differences={outdated} />
      <RecordForm
        told={{
          firedAt: begin,
          place: '',
          result: null,
          lookReached: null,
          released: null,
          note: '',
          asFired: null,
          photos: [],
          knownBy: '',
          lesson: NO_LESSON,
        }}
        schedule={schedule}
        problem={record.refusal?.problem ?? null}
        saving={record.saving}
        held={record.held}
        draft={draft}
        onSave={(told) =>
          record.save(
            {
              id: firingId,
              pieceId: piece.id,
              scheduleId: schedule.id,
              zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
              asItIs: outdated.length > 0,
              ...told,
            },
            {
              then() {
                draft.done();
                router.replace(`/notebook/${firingId}`);
              },
            },
          )
        }
      />
    </Screen>
  );
}
