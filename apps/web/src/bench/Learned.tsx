/** What the firings of a kiln have taught, what of it plans go by, and the touch that takes it over. */
import { type TakenOver, correctionsOf, factorOf } from '@torvin/core/learn';
import { type Look, RECIPES } from '@torvin/core/look';
import { type TemperatureUnit, differenceIn, formatDifference, text } from '@torvin/core/units';
import type { Kiln } from '@torvin/schema';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { byWords, resultWords } from '@/ui/results';
import { useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { LearnedDrawing } from './LearnedDrawing';
import { NINE_IN_TEN, type Row, type Taught, factorRow, lookRow, offsetRow } from './learnedRows';

/** Nearer than this to what plans go by, nothing new is offered. */
const SAME = { offset_K: 1, workFactor: 0.05 } as const;

/** To whole degrees of the studio and hundredths: nothing finer was learnt. */
const rounded = ({ offset_K, workFactor, looks }: Taught, unit: TemperatureUnit): Required<TakenOver> => ({
  offset_K: Math.round(differenceIn(offset_K, unit)) / differenceIn(1, unit),
  workFactor: Math.round(workFactor * 100) / 100,
  lookFactors: Object.fromEntries(looks.map(({ look, factor }) => [look, Math.round(factor * 100) / 100])),
});

/** Those of single looks that are not as all looks are: 'a tack fuse 1.21, a slump 0.88'. */
function looksWords({ workFactor, lookFactors }: Required<TakenOver>): string {
  const apart = (Object.entries(lookFactors) as [Look, number][]).filter(([, factor]) => Math.abs(factor - workFactor) >= SAME.workFactor);
  return apart.length === 0 ? '' : `; of them ${apart.map(([look, factor]) => `a ${RECIPES[look].name.toLowerCase()} ${factor.toFixed(2)}`).join(', ')}`;
}

function words(known: Required<TakenOver>, unit: TemperatureUnit): string {
  const { offset_K, workFactor } = known;
  const off = Math.round(Math.abs(differenceIn(offset_K, unit)));
  const reads =
    off === 0
      ? 'its controller reads true'
      : `its controller reads ${text(formatDifference(Math.abs(offset_K), unit))} ${offset_K > 0 ? 'over' : 'under'} the glass`;
  return `looks take ${workFactor.toFixed(2)} times the usual heat work${looksWords(known)}; ${reads}`;
}

export function Learned({ learned, kilns }: { learned: Taught | null; kilns: readonly Kiln[] | undefined }) {
  if (!learned) return <Words tone="muted">Nothing yet. Record a result, and what it teaches about your kiln appears here.</Words>;
  return <Told learned={learned} kiln={kilns?.find(({ id }) => id === learned.kilnId)} />;
}

function Told({ learned, kiln }: { learned: Taught; kiln: Kiln | undefined }) {
  const { temperatureUnit: unit } = useStudio();
  const save = useSave('saveRecord');
  const { firings, kilnName, familyName, separated, offset_sd_K, workFactor_sd_log } = learned;
  const found = rounded(learned, unit);
  const taken = kiln && correctionsOf(kiln);
  const { offset_K = 0, workFactor = 1, lookFactors = {} } = kiln ?? {};
  const planned = { offset_K, workFactor, lookFactors };
  // Judged as it was learnt, so that a studio of another unit is offered the same.
  const like = (one: number, other: number): boolean => Math.abs(one - other) < SAME.workFactor;
  const same =
    Math.abs(learned.offset_K - offset_K) < SAME.offset_K &&
    like(learned.workFactor, workFactor) &&
    learned.looks.every(({ look, factor }) => like(factor, factorOf(planned, look)));
  const put = (next: TakenOver): void => {
    if (!kiln) return;
    const { offset_K: _offset, workFactor: _factor, lookFactors: _looks, ...rest } = kiln;
    save.save({ kind: 'kilns', record: { ...rest, ...next }, before: kiln }, { on: kiln.version });
  };
  const spread = text(formatDifference(NINE_IN_TEN * offset_sd_K, unit));
  const factors = [-1, 1].map((side) => (learned.workFactor * Math.exp(side * NINE_IN_TEN * workFactor_sd_log)).toFixed(2));
  return (
    <View style={{ gap: space.small }}>
      <Words>
        {firings === 0
          ? `${kilnName}, ${familyName}: every recorded firing is left out, so the usual values apply.`
          : `${kilnName}, ${familyName}, from ${firings} ${firings === 1 ? 'firing' : 'firings'}: ${words(found, unit)}.`}
      </Words>
      <Words size="label" tone="muted">
        {`Nine in ten: ${factors.join(' to ')} times, and within ${spread} of that reading. ${
          separated
            ? 'These firings separate the two.'
            : 'These firings cannot tell the two apart: a witness cone or a thermocouple at the glass, or a look at another temperature, would.'
        }`}
      </Words>
      {kiln && (
        <Words size="label" testID="learned-taken">
          {taken
            ? same
              ? 'Plans in this kiln go by it.'
              : `Plans in this kiln go by an earlier word: ${words(planned, unit)}.`
            : same
              ? 'That is as good as usual: plans need no correction.'
              : 'Plans do not go by it yet.'}
        </Words>
      )}
      <Fold title="What it was learnt from" about={lessonsWords(learned)} testID="learnt">
        {() => <Lessons learned={learned} unit={unit} />}
      </Fold>
      {save.refusal && <Notice tone="warn">{save.refusal.problem.message}</Notice>}
      {kiln && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {!same && <Action kind="second" title="Plan by it" testID="learned-take" disabled={save.saving} onPress={() => put(found)} />}
          {taken && <Action kind="second" title="Plan as usual" testID="learned-leave" disabled={save.saving} onPress={() => put({})} />}
        </View>
      )}
    </View>
  );
}

/** How many firings, and how many of them were left out. */
function lessonsWords({ lessons, firings }: Taught): string {
  const out = lessons.length - firings;
  return out === 0 ? 'what was believed before, each firing, what is believed now' : `${out} of ${lessons.length} firings left out`;
}

function Lessons({ learned, unit }: { learned: Taught; unit: TemperatureUnit }) {
  const degrees = (kelvin: number): string => text(formatDifference(kelvin, unit));
  const [offset, factor] = [offsetRow(learned), factorRow(learned)];
  const times = ([from, to]: readonly [number, number]): string => `${Math.exp(from).toFixed(2)} to ${Math.exp(to).toFixed(2)} times`;
  const kelvins = ([from, to]: readonly [number, number]): string => `${degrees(from)} to ${degrees(to)}`;
  return (
    <View style={{ gap: space.medium }}>
      <Drawn title="Heat work that looks take, against usual" row={factor} words={times} />
      {learned.looks.map((one) => (
        <Drawn key={one.look} title={`Of them ${RECIPES[one.look].name.toLowerCase()}`} row={lookRow(learned, one)} words={times} />
      ))}
      <Drawn title="Controller less glass" row={offset} words={kelvins} />
      <Words size="label" tone="muted">
        Pale: before any firing. Thin: what each firing says, the newest on top; of heat work as if the kiln read true, of the controller by what was read at
        the glass; broken where it is left out. Strong: now. Nine in ten each.
      </Words>
      <View role="list">
        {learned.lessons.map(({ firingId, pieceName, firedAt, look, result, lesson, ofLeast }) => (
          <LinkRow key={firingId} href={`/notebook/${firingId}`} inset={0} testID={`lesson-${firingId}`}>
            <View style={{ flex: 1 }}>
              <Words bold>{`${pieceName}, ${format(firedAt, 'd MMM yyyy')}`}</Words>
              <Words size="label" tone="muted">
                {`${RECIPES[look].name}: ${resultWords(result)}${byWords(lesson)}, at ${Math.round(100 * ofLeast)} % of the least it needs${lesson.witness ? ', with a reading at the glass' : ''}${lesson.leftOut ? '; left out' : ''}`}
              </Words>
            </View>
          </LinkRow>
        ))}
      </View>
    </View>
  );
}

function Drawn({ title, row, words }: { title: string; row: Row; words(range: readonly [number, number]): string }) {
  return (
    <View style={{ gap: 4 }}>
      <Words size="label">{`${title}: ${words(row.now)}; before ${words(row.before)}`}</Words>
      <MeasuredWidth>{(width) => <LearnedDrawing row={row} width={width} />}</MeasuredWidth>
    </View>
  );
}
