/**
 * A schedule that was not computed: written down on paper, or one that came out right on another piece. It is typed in or pasted, in
 * whatever units it has, and judged for this piece before anything is computed; kept, it is this firing's own.
 */
import { RECIPES } from '@torvin/core/look';
import { outdatedBy } from '@torvin/core/piece';
import { closedAfter, segmentsWritten, unitDoubt, withRoles, writtenRows } from '@torvin/core/schedule';
import { type FiringDetail, type Piece, type Shelves, type Step, cellsOf } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
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
import { type GivenHere, JudgedHere } from './JudgedHere';
import { PaperRows, PaperUnits } from './PaperRows';
import { Proven } from './Proven';
import { type Written, begun, filledIn, forWhat, placeInRows } from './written';

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
  const [pasted, setPasted] = useState('');
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
    const found = writtenRows(cellsOf(words));
    if (found.length === 0) return setFault({ path: 'pasted', message: 'No line of it has a figure that could be a segment: a rate, a target, a hold.' });
    change({ rows: found });
    setPasted('');
  }

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
      title={proven ? 'Run again' : 'From paper'}
      of={piece.name}
      subtitle={`${piece.name} · ${firingName(step)}`}
      back={{ title: piece.name, href: `/pieces/${piece.id}` }}
      padded={false}
    >
      <View style={{ paddingHorizontal: space.large, gap: space.medium }}>
        {proven ? (
          <ProvenWords proven={proven} piece={piece} step={step} shelves={shelves} />
        ) : (
          <Words>Write it as it stands on the paper. It is judged for this piece; nothing is calculated in its place.</Words>
        )}
        <DraftOffer draft={draft} onTake={change} />
        {!proven && <PaperUnits as={as} onChange={(next) => change({ as: next })} />}
        <PaperRows rows={rows} as={as} fault={fault} onChange={(next) => change({ rows: next })} />
        <Words size="label" tone="muted">
          A rate left empty is as fast as the kiln can. A figure with its own unit, such as 1480 °F or 1 h 30, means that.
        </Words>
        {doubt !== '' && (
          <Notice tone="warn" testID="paper-doubt">
            {doubt}
          </Notice>
        )}
      </View>
      {!proven && (
        <Fold title="Paste it, or take it from a file" about="lines of text, or a table from a spreadsheet" testID="paper-paste">
          {() => (
            <>
              <Field
                label="Pasted"
                value={pasted}
                onChange={setPasted}
                multiline
                error={fault?.path === 'pasted' ? fault.message : undefined}
                hint="such as '1. 270 1067 30', a line for each segment"
                testID="paper-pasted"
              />
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
                <Action kind="second" title="Take it in" disabled={pasted.trim() === ''} testID="paper-take" onPress={() => takeIn(pasted)} />
                <FileChoice
                  kind="second"
                  title="A file"
                  accept=".csv,.txt,text/csv,text/plain"
                  testID="paper-file"
                  onFiles={([file]) => void file.text().then(takeIn)}
                />
              </View>
            </>
          )}
        </Fold>
      )}
      <View style={{ padding: space.large, gap: space.small }}>
        <Action title={given.working ? 'Judging …' : 'Judge it for this piece'} disabled={given.working} testID="paper-judge" onPress={() => void judge()} />
        {given.problem && <Notice tone="warn">{given.problem.message}</Notice>}
        {judged && <JudgedHere judged={judged} proven={proven} />}
        {judged && (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            <Action
              title="Take it for this firing"
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
            <Action kind="second" title="Not this one" testID="paper-leave" onPress={() => router.replace(`/pieces/${piece.id}`)} />
          </View>
        )}
      </View>
      {!proven && (
        <Fold title="From a firing that came out right" about="run again on this piece, with what differs and what that does" testID="proven">
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
      <Words>{`As it ran on '${firing.pieceName}', ${RECIPES[firing.look].name.toLowerCase()} in ${schedule.snapshot.kilnName}. It can be changed here before it is judged.`}</Words>
      <Notice tone="plain" testID="proven-differs">
        {differs.length === 0 ? 'What was fired then and what lies here are the same.' : differs.join(' ')}
      </Notice>
    </View>
  );
}
