import type { FiringDetail } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useFiring } from '@/data/firings';
import { type RecordEntry, RecordForm, type Told } from '@/notebook/RecordForm';
import { firingOnto } from '@/outbox/kinds';
import { inFormUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { useSave } from '@/outbox/useOutbox';
import { Action } from '@/ui/Action';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';

export function TellPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const detail = useFiring(id);
  const back: Back = { title: detail.data?.firing.pieceName ?? 'Firing', href: `/notebook/${id}` };
  if (!detail.data) return <Waiting query={detail} title="Tell more" back={back} />;
  return <TellForm detail={detail.data} back={back} />;
}

const TellForm = inFormUnits(Tell);

function Tell({ detail: { firing, schedule }, back }: { detail: FiringDetail; back: Back }) {
  const router = useRouter();
  const { save, saving, held, refusal, last } = useSave('saveFiring');
  const { id, zone, firedAt, place, result, lookReached, released, note, asFired, photos, knownBy, lesson } = firing;
  const before = { zone, firedAt, place, result, lookReached, released, note, asFired, photos, knownBy, lesson };
  const stale = refusal?.problem.code === 'stale' && last ? { standing: refusal.current as FiringDetail['firing'], mine: last } : null;
  const draft = useDraft<RecordEntry>(`tell ${id} ${firing.version}`);
  const then = (): void => {
    draft.done();
    router.replace(`/notebook/${id}`);
  };
  return (
    <Screen title="Tell more" subtitle={firing.pieceName} back={back}>
      {stale && (
        <Notice
          tone="warn"
          testID="stale-choice"
          actions={
            <Action
              title="Save mine over it"
              testID="keep-mine"
              onPress={() => save(firingOnto(stale.mine, stale.standing).variables, { on: stale.standing.version, then })}
            />
          }
        >
          Somebody else has told of this firing meanwhile. What you changed here can be put onto what stands now.
        </Notice>
      )}
      <RecordForm
        told={firing}
        schedule={schedule}
        problem={stale ? null : (refusal?.problem ?? null)}
        saving={saving}
        held={held}
        draft={draft}
        onSave={(told: Told, { atOnce }) => save({ id, body: { zone, ...told, ...(atOnce ? { atOnce } : {}) }, before }, { on: firing.version, then })}
      />
    </Screen>
  );
}
