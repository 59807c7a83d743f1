import { type Firing, type FiringDetail, toldIn } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { useFiring } from '@/data/firings';
import { type RecordEntry, RecordForm, type Told } from '@/notebook/RecordForm';
import { firingOnto } from '@/outbox/kinds';
import { inFormUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { usePutMeasured } from '@/notebook/putMeasured';
import { useSave } from '@/outbox/useOutbox';
import { Action } from '@/ui/Action';
import { GoneChoice } from '@/ui/GoneChoice';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';
import { showFault } from '@/ui/showFault';
import { TELL_PAGE } from './words';
import { WORDS } from '@/ui/said';

export function TellPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const detail = useFiring(id);
  const back: Back = { title: detail.data?.firing.pieceName ?? WORDS.firing, href: `/notebook/${id}` };
  if (!detail.data) return <Waiting query={detail} title={WORDS.result} back={back} />;
  return <TellForm detail={detail.data} back={back} />;
}

const toldOf = (firing: Firing) => ({ zone: firing.zone, firedAt: firing.firedAt, ...toldIn(firing) });

const TellForm = inFormUnits(Tell);

function Tell({ detail: { firing, schedule }, back }: { detail: FiringDetail; back: Back }) {
  const router = useRouter();
  const putMeasured = usePutMeasured(firing);
  const { id } = firing;
  const { save, saving, held, refusal, last, left, discard, bringBack } = useSave('saveFiring', (variables) => variables.id === id);
  /** As it stood when the form was filled: it may be told of elsewhere, and be read anew, while one types. */
  const [base, setBase] = useState(() => (left?.before ? { version: 0, before: left.before } : { version: firing.version, before: toldOf(firing) }));
  const [began] = useState<Told>(() => ({ ...firing, ...(left?.body as Told | undefined) }));
  const stale = refusal?.problem.code === 'stale' && last ? { standing: refusal.current as FiringDetail['firing'], mine: last } : null;
  const draft = useDraft<RecordEntry>(`tell ${id}`, base);
  const then = (): void => {
    draft.done();
    router.replace(`/notebook/${id}`);
  };
  const gone = refusal?.problem.code === 'deleted';
  const isAsked = stale !== null || gone;
  useEffect(() => (isAsked ? showFault() : undefined), [isAsked]);
  const leaveMine = (): void => {
    discard();
    then();
  };
  return (
    <Screen title={firing.result === null ? WORDS.recordResult : TELL_PAGE.editResult} of={firing.pieceName} subtitle={firing.pieceName} back={back}>
      {stale && (
        <Notice
          tone="warn"
          testID="stale-choice"
          actions={
            <>
              <Action
                title={WORDS.saveMineOver}
                testID="keep-mine"
                onPress={() => save(firingOnto(stale.mine, stale.standing).variables, { on: stale.standing.version, then })}
              />
              <Action kind="second" title={WORDS.letMineGo} testID="let-mine-go" onPress={leaveMine} />
            </>
          }
        >
          {TELL_PAGE.somebodyElseRecorded}
        </Notice>
      )}
      {gone && <GoneChoice what={TELL_PAGE.firing} onBringBack={() => bringBack(then)} onLeave={leaveMine} />}
      <RecordForm
        told={began}
        schedule={schedule}
        problem={stale || gone ? null : (refusal?.problem ?? null)}
        saving={saving}
        held={held}
        draft={draft}
        onSave={(told: Told, { atOnce }) =>
          save(
            { id, body: { zone: base.before.zone, ...told, ...(atOnce ? { atOnce } : {}) }, before: base.before },
            {
              on: base.version,
              then() {
                if (told.measured.down_m !== (base.before.measured?.down_m ?? null)) putMeasured(told.measured.down_m);
                then();
              },
            },
          )
        }
        onDraftTaken={(from) => from !== undefined && setBase(from as typeof base)}
      />
    </Screen>
  );
}
