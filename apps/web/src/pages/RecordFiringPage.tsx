import { type BenchStep, type Edited, removeStep, tellDone, untoldBefore, untoldWords } from '@torvin/core/piece';
import { type Outcome, found } from '@torvin/core/problem';
import { NOTHING_TOLD, type PieceDoc } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { type Hands, type RecordEntry, RecordForm } from '@/notebook/RecordForm';
import { OutdatedNotice } from '@/planner/OutdatedNotice';
import { firingName } from '@/layup/describe';
import { runHref } from '@/ui/hrefs';
import { inFormUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { usePutMeasured } from '@/notebook/putMeasured';
import { putPiece } from '@/outbox/shown';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { type StepPageParts, useStepPage } from '@/planner/useStepPage';
import { Screen } from '@/ui/Screen';
import { RECORD_FIRING_PAGE } from './words';

export function RecordFiringPage() {
  const page = useStepPage(RECORD_FIRING_PAGE.recordTheFiring);
  return page.ready ? <RecordPage {...page} /> : page.shown;
}

const RecordPage = inFormUnits(Record);

/** The piece with what hands were to do before a firing told as done then, or taken from its journey. */
function handsTold(doc: PieceDoc, steps: readonly BenchStep[], hands: Hands, at: number): Outcome<Edited> {
  const what = hands === 'done' ? RECORD_FIRING_PAGE.stepsToldDone : RECORD_FIRING_PAGE.stepsLeftOut;
  return steps.reduce<Outcome<Edited>>((now, { id }) => {
    if (!now.ok) return now;
    const next = hands === 'done' ? tellDone(now.value.doc, id, at) : removeStep(now.value.doc, id);
    return next.ok ? found({ doc: next.value.doc, what }) : next;
  }, found({ doc, what }));
}

function Record({ piece, step, schedule, outdated }: StepPageParts) {
  const { started } = useLocalSearchParams<{ started?: string }>();
  const router = useRouter();
  const record = useSave('recordFiring');
  const draft = useDraft<RecordEntry>(`record ${schedule.id}`);
  // The same id for every try, so that a repeated save records one firing.
  const [firingId] = useState(() => uuid());
  const [begin] = useState(() => Number(started) || Date.now());
  const client = useQueryClient();
  const outbox = useOutbox();
  const putMeasured = usePutMeasured({ pieceId: piece.id, stepId: step.id });
  // Those that were there when the page was opened: once told they are so no more.
  const [untold] = useState(() => untoldBefore(piece.doc.journey, step.id, (one) => piece.fired[one] !== undefined));
  const [handsKept, setHandsKept] = useState(false);
  function keepHands(hands: Hands, at: number): void {
    const { id, name, doc, version } = piece;
    const edited = handsTold(doc, untold, hands, at);
    if (edited.ok) putPiece(client, outbox, { id, name, ...edited.value, before: { name, doc } }, { on: version });
    setHandsKept(true);
  }
  return (
    <Screen
      title={RECORD_FIRING_PAGE.recordTheFiring}
      of={piece.name}
      subtitle={RECORD_FIRING_PAGE.of(firingName(step), piece.name)}
      back={{ title: firingName(step), href: runHref(piece.id, step.id) }}
    >
      <OutdatedNotice differences={outdated} />
      <RecordForm
        told={{ firedAt: begin, ...NOTHING_TOLD }}
        schedule={schedule}
        problem={record.refusal?.problem ?? null}
        saving={record.saving}
        held={record.held}
        draft={draft}
        untold={handsKept ? '' : untoldWords(piece.doc.journey, untold)}
        onSave={(told, { atOnce, hands }) => {
          if (hands !== null && !handsKept) keepHands(hands, told.firedAt);
          record.save(
            {
              id: firingId,
              pieceId: piece.id,
              scheduleId: schedule.id,
              zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
              asItIs: outdated.length > 0,
              atOnce,
              ...told,
            },
            {
              then() {
                if (told.measured.down_m !== null) putMeasured(told.measured.down_m);
                draft.done();
                router.replace(`/notebook/${firingId}`);
              },
            },
          );
        }}
      />
    </Screen>
  );
}
