import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/data/client';
import { useRecordFiring } from '@/data/firings';
import { usePiece } from '@/data/pieces';
import { RecordForm } from '@/notebook/RecordForm';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';

export default function RecordPage() {
  const { id, started } = useLocalSearchParams<{ id: string; started?: string }>();
  const router = useRouter();
  const piece = usePiece(id);
  const record = useRecordFiring();
  // The same id for every try, so that a repeated save records one firing.
  const [firingId] = useState(() => uuid());
  const [begin] = useState(() => new Date(Number(started) || Date.now()));
  const scheduleId = piece.data?.doc.steps[0]?.scheduleId;
  const back = { title: 'Full fuse', href: `/pieces/${id}/run` };
  if (!piece.data) return <Waiting query={piece} title="Record the firing" back={back} />;
  if (!scheduleId) return piece.isPlaceholderData ? <Waiting query={piece} title="Record the firing" back={back} /> : <Redirect href={`/pieces/${id}`} />;
  return (
    <Screen title="Record the firing" subtitle={piece.data.name} back={back}>
      <RecordForm
        started={begin}
        problem={record.error ? problemOfError(record.error) : null}
        saving={record.isPending}
        onSave={(firing) =>
          record.mutate(
            { id: firingId, pieceId: id, scheduleId, zone: Intl.DateTimeFormat().resolvedOptions().timeZone, ...firing },
            { onSuccess: () => router.replace(`/notebook/${firingId}`) },
          )
        }
      />
    </Screen>
  );
}
