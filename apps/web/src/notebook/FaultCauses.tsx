/** What may have caused what was seen on the glass: likely causes in order, each with figures of this firing for and against it. */
import { type Known, type LikelyCause, isLikely } from '@torvin/core/causes';
import { FLAWS, type Flaw } from '@torvin/core/look';
import { placeOf } from '@torvin/core/piece';
import type { FiringDetail, Mark, Piece, Shelves } from '@torvin/schema';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useFormNow } from '@/data/forms';
import { useComputed } from '@/engine/useComputed';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { WORDS } from '@/ui/said';
import { asRun } from './asRun';
import { tensionRead } from './tensionRead';
import { NEXT } from './words';

export interface FaultCausesProps {
  detail: FiringDetail;
  piece: Piece | null;
  shelves: Shelves;
}

/** Nearer to the middle than this, as shares of width and length, it is in the middle. */
const MIDDLE = 0.22;

/** What was marked of a flaw, for the engine. */
export function faultOf(flaw: Flaw, marks: readonly Mark[]) {
  const own = marks.filter((one) => one.flaw === flaw);
  const placed = own.flatMap(({ at }) => at ?? []);
  const kind = own.find(({ size, edge, course }) => size ?? edge ?? course);
  const isMiddle = placed.length > 0 && placed.every(({ x, y }) => Math.hypot(x - 0.5, y - 0.5) < MIDDLE);
  return {
    flaw,
    ...(kind?.size ? { size: kind.size } : {}),
    ...(kind?.edge ? { edge: kind.edge } : {}),
    ...(kind?.course ? { course: kind.course } : {}),
    ...(placed.length > 0 ? { middle: isMiddle } : {}),
  };
}

/** Whether what was marked lies on the side that faced the hot side of the kiln; undefined where one of the two was not recorded. */
export function isTowardsHot({ faced, marks }: Pick<FiringDetail['firing'], 'faced' | 'marks'>): boolean | undefined {
  const placed = marks.flatMap(({ at }) => at ?? []);
  if (faced.hot === null || placed.length === 0) return undefined;
  const [x, y] = [placed.reduce((sum, at) => sum + at.x, 0) / placed.length, placed.reduce((sum, at) => sum + at.y, 0) / placed.length];
  return { left: x < 0.5, right: x > 0.5, top: y < 0.5, bottom: y > 0.5 }[faced.hot];
}

/** Blasted or ground since the firing before. */
function wasBlasted(piece: Piece | null, stepId: string): boolean | undefined {
  if (!piece) return undefined;
  const before = piece.doc.journey.slice(0, placeOf(piece.doc, stepId));
  const since = before.slice(before.map(({ kind }) => kind).lastIndexOf('fire') + 1);
  return since.some(({ kind }) => kind === 'blast' || kind === 'grind');
}

export function FaultCauses({ detail, piece, shelves }: FaultCausesProps) {
  const units = useUnits();
  const { firing, schedule } = detail;
  const { snapshot } = schedule;
  const formNow = useFormNow(snapshot.setup.form?.id, shelves);
  const ran = asRun(detail);
  const asking = useMemo(() => {
    const { startedAt, openedAt } = firing.load;
    const worn = formNow?.coats
      .map(({ release, since }) => ({ firings: since.hot + since.cool, most: release.firings }))
      .sort((a, b) => b.firings - a.firings)[0];
    const read_Pa = tensionRead(detail);
    const [towardsHot, blasted] = [isTowardsHot(firing), wasBlasted(piece, firing.stepId)];
    const known: Known = {
      ...(startedAt !== null && openedAt !== null ? { openedEarly_s: ran.evaluation.simulation.total_s - (openedAt - startedAt) / 1000 } : {}),
      ...(worn ? { coat: worn } : {}),
      ...(towardsHot === undefined ? {} : { towardsHot }),
      ...(read_Pa === null ? {} : { tensionRead_Pa: read_Pa }),
      ...(blasted === undefined ? {} : { blasted }),
    };
    return { firing: snapshot.firing, segments: [...ran.segments], faults: firing.seen.map((flaw) => faultOf(flaw, firing.marks)), known, units };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- What ran is of the firing
  }, [firing, snapshot, formNow, piece, units]);
  const { value, problem } = useComputed('causes', asking);
  if (problem) return <Notice tone="warn">{problem.message}</Notice>;
  if (!value) return <Words tone="muted">{WORDS.calculating}</Words>;
  return (
    <View style={{ gap: space.large, marginTop: space.large }} testID="causes">
      {value.faults.map(({ flaw, causes }) => (
        <View key={flaw} style={{ gap: space.small }}>
          <Words bold role="heading" aria-level={2}>
            {NEXT.whyFlaw(capital(FLAWS[flaw]))}
          </Words>
          {causes[0] && <First cause={causes[0]} />}
          {causes.length > 1 && (
            <Fold
              title={NEXT.otherCauses}
              about={causes
                .slice(1, 3)
                .map(({ title }) => title.toLowerCase())
                .join(', ')}
              testID={`causes-${flaw}`}
            >
              {() => causes.slice(1).map((cause) => <Told key={cause.cause} cause={cause} />)}
            </Fold>
          )}
        </View>
      ))}
    </View>
  );
}

function First({ cause }: { cause: LikelyCause }) {
  return (
    <View testID="first-cause">
      <Told cause={cause} />
    </View>
  );
}

function Told({ cause: { title, share, change, ...evidence } }: { cause: LikelyCause }) {
  return (
    <View style={{ gap: space.hair, paddingVertical: space.small }}>
      <Words bold>{`${title}: ${isLikely({ share }) ? NEXT.likely : NEXT.possible}`}</Words>
      {evidence.for.map((line) => (
        <Words key={line} size="label">{`+ ${line}`}</Words>
      ))}
      {evidence.against.map((line) => (
        <Words key={line} size="label" tone="muted">{`− ${line}`}</Words>
      ))}
      {evidence.for.length + evidence.against.length === 0 && (
        <Words size="label" tone="muted">
          {NEXT.noFigure}
        </Words>
      )}
      <Words>{change}</Words>
    </View>
  );
}
