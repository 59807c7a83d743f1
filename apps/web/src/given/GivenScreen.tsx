/**
 * A schedule that was not computed: written down on paper, or one that came out right on another piece. It is typed in or pasted, in
 * whatever units it has, and judged for this piece before anything is computed; kept, it is this firing's own.
 */
import { LOOK_NAMES } from '@torvin/core/look';
import { outdatedBy } from '@torvin/core/piece';
import { closedAfter, segmentsWritten, unitDoubt, withRoles, writtenRows } from '@torvin/core/schedule';
import { type FiringDetail, type Piece, type Shelves, type Step, cellsOf } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useSaveStudio, useStudio } from '@/data/studio';
import { useDraft } from '@/data/useDraft';
import { firingName } from '@/layup/describe';
import { runHref } from '@/ui/hrefs';
import { useGivenSchedule } from '@/planner/useGivenSchedule';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { FileChoice } from '@/ui/FileChoice';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { useTakes } from '@/ui/brought';
import { type GivenHere, JudgedHere } from './JudgedHere';
import { PaperRows, PaperUnits } from './PaperRows';
import { Proven } from './Proven';
import { type Written, begun, filledIn, forWhat, placeInRows, rowsOfFile } from './written';
import { GIVEN_SCREEN } from './words';
import { WORDS } from '@/ui/said';

export interface GivenScreenProps {
  piece: Piece;
  step: Step;
  shelves: Shelves;
  /** The firing that is run again; null where it is written. */
  proven: FiringDetail | null;
}

export function GivenScreen({ piece, step, shelves, proven }: GivenScreenProps) {
  const router = useRouter();
  const units = useUnits();
  const given = useGivenSchedule(piece, step, shelves);
  const [first] = useState(() => begun(proven, units.temperature));
  const [{ rows, as }, setWritten] = useState<Written>(first);
  const draft = useDraft<Written>(`given ${step.id} ${proven?.firing.id ?? ''}`);
  useEffect(() => draft.keep({ rows, as }, first), [draft, rows, as, first]);
  const { firstDay } = useStudio();
  const saveStudio = useSaveStudio();
  // What was pasted on the first day waits here, until it is taken in once.
  const [kept] = useState(proven ? '' : (firstDay?.schedule ?? ''));
  const [pasted, setPasted] = useState(kept);
  const [fault, setFault] = useState<{ path: string; message: string } | null>(null);
  const [judged, setJudged] = useState<GivenHere | null>(null);
  const change = (next: Partial<Written>): void => {
    setJudged(null);
    setFault(null);
    setWritten({ rows, as, ...next });
  };
  const read = segmentsWritten(filledIn(rows), as);
  const doubt = read.ok ? unitDoubt(read.value, as) : '';

  function takeIn(words: string): void {
    const filed = rowsOfFile(words, units.temperature);
    const found = filed?.rows ?? (words.trim().startsWith('{') ? [] : writtenRows(cellsOf(words)));
    if (found.length === 0) return setFault({ path: 'pasted', message: GIVEN_SCREEN.noLineFigure });
    change(filed ?? { rows: found });
    setPasted('');
    if (firstDay && words === kept && kept !== '') saveStudio({ firstDay: { ...firstDay, schedule: '' } });
  }

  useTakes('schedule', takeIn, { off: proven !== null, of: piece.id });

  async function judge(): Promise<void> {
    if (!read.ok) {
      return setFault({ path: placeInRows(read.problem.path, rows), message: read.problem.message });
    }
    let closes = false;
    const found = await given.judge(({ firing }) => {
      const closed = closedAfter(forWhat(read.value, proven) ?? withRoles(read.value, firing), firing);
      closes = closed.closes;
      return closed.segments;
    });
    if (found) setJudged({ ...found, closes });
  }

  return (
    <Screen
      title={proven ? GIVEN_SCREEN.runAgain : GIVEN_SCREEN.fromPaper}
      of={piece.name}
      subtitle={`${piece.name} · ${firingName(step)}`}
      back={{ title: piece.name, href: `/pieces/${piece.id}` }}
      padded={false}
    >
      <View style={{ paddingHorizontal: space.large, gap: space.medium }}>
        {proven ? <ProvenWords proven={proven} piece={piece} step={step} shelves={shelves} /> : <Words>{GIVEN_SCREEN.writeStandsPaper}</Words>}
        <DraftOffer draft={draft} onTake={change} />
        {!proven && <PaperUnits as={as} onChange={(next) => change({ as: next })} />}
        <PaperRows rows={rows} as={as} fault={fault} onChange={(next) => change({ rows: next })} />
        <Words size="label" tone="muted">
          {GIVEN_SCREEN.rateLeftEmpty}
        </Words>
        {doubt !== '' && (
          <Notice tone="warn" testID="paper-doubt">
            {doubt}
          </Notice>
        )}
      </View>
      {!proven && (
        <Fold title={GIVEN_SCREEN.pasteTakeFile} about={GIVEN_SCREEN.linesTextTable} testID="paper-paste" opened={kept !== ''}>
          {() => (
            <>
              <Field
                label={GIVEN_SCREEN.pasted}
                value={pasted}
                onChange={setPasted}
                multiline
                error={fault?.path === 'pasted' ? fault.message : undefined}
                hint={GIVEN_SCREEN.suchLineEach}
                testID="paper-pasted"
              />
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
                <Action kind="second" title={GIVEN_SCREEN.takeItIn} disabled={pasted.trim() === ''} testID="paper-take" onPress={() => takeIn(pasted)} />
                <FileChoice
                  kind="second"
                  title={GIVEN_SCREEN.aFile}
                  accept=".json,.csv,.txt,application/json,text/csv,text/plain"
                  testID="paper-file"
                  onFiles={([file]) => void file.text().then(takeIn)}
                />
              </View>
            </>
          )}
        </Fold>
      )}
      <View style={{ padding: space.large, gap: space.small }}>
        <Action title={given.working ? WORDS.judging : GIVEN_SCREEN.judgePiece} disabled={given.working} testID="paper-judge" onPress={() => void judge()} />
        {given.problem && <Notice tone="warn">{given.problem.message}</Notice>}
        {judged && <JudgedHere judged={judged} proven={proven} />}
        {judged && (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            <Action
              title={GIVEN_SCREEN.takeFiring}
              disabled={given.working}
              testID="paper-keep"
              onPress={() =>
                void given.keep(judged).then((kept) => {
                  if (!kept) return;
                  draft.done();
                  router.replace(runHref(piece.id, step.id));
                })
              }
            />
            <Action kind="second" title={GIVEN_SCREEN.notThisOne} testID="paper-leave" onPress={() => router.replace(`/pieces/${piece.id}`)} />
          </View>
        )}
      </View>
      {!proven && (
        <Fold title={GIVEN_SCREEN.firingCameOut} about={GIVEN_SCREEN.runAgainPiece} testID="proven">
          {() => <Proven onChosen={(id) => router.push(`/pieces/${piece.id}/given?step=${step.id}&from=${id}`)} />}
        </Fold>
      )}
    </Screen>
  );
}

/** Where it worked, and how that differs from what stands here. */
function ProvenWords({ proven, piece, step, shelves }: Omit<GivenScreenProps, 'proven'> & { proven: FiringDetail }) {
  const units = useUnits();
  const { firing, schedule } = proven;
  const differs = outdatedBy(piece.doc, step.id, shelves, schedule.snapshot, units);
  return (
    <View style={{ gap: space.small }}>
      <Words>{GIVEN_SCREEN.ranCanChanged(firing.pieceName, LOOK_NAMES[firing.look].toLowerCase(), schedule.snapshot.kilnName)}</Words>
      <Notice tone="plain" testID="proven-differs">
        {differs.length === 0 ? GIVEN_SCREEN.whatFiredThen : differs.join(' ')}
      </Notice>
    </View>
  );
}
