/** How thick a body is, what it weighs, where its rim goes; and what has been done to its glass. */
import { bodyFigures } from '@torvin/core/body';
import { RECIPES, rimMovesIn, LOOK_NAMES } from '@torvin/core/look';
import {
  type AfterStep,
  type BodyNow,
  type Brought,
  type PlannedStep,
  bodyOf,
  bodyWords,
  glassName,
  heatWords,
  ledgerOf,
  ledgerWords,
  massNow,
  namedGlasses,
  type LaidLayer,
  strikeWords,
  type LaidTurn,
  touchingWords,
} from '@torvin/core/piece';
import { inDamSentence } from '@torvin/core/schedule';
import { type Units, formatLength, formatMass, otherUnits, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { TARGET, space } from '@/theme/theme';
import { FigureBlock } from '@/ui/FigureBlock';
import { Hidden } from '@/ui/Hidden';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { BODY_FIGURES } from './words';

const RIM = {
  'runs-out': (rest: string) => BODY_FIGURES.thickerThanFull(rest),
  'draws-in': (rest: string) => BODY_FIGURES.thinnerThanFull(rest),
  stays: (rest: string) => BODY_FIGURES.nearRimHardly(rest),
  fills: () => BODY_FIGURES.fullFuseFills,
  opens: (rest: string) => BODY_FIGURES.filmGrainsFar(rest),
  wavers: (rest: string, back: string) => inDamSentence('wavers', rest, back),
  scallops: (rest: string, back: string) => inDamSentence('scallops', rest, back),
} as const;

export interface BodyFiguresProps {
  body: BodyNow;
  /** The steps that have made it. */
  after: readonly AfterStep[];
  /** The firing that it is for, and the heat work of that, 1/Pa; null while that is not known. */
  next: PlannedStep | undefined;
  work_perPa: number | null;
  /** Its turns in the kiln so far, as they ran or are to run. */
  turns: readonly LaidTurn[];
  shelves: Shelves;
}

/** What made glass among layers had seen before it was laid. */
export const broughtBy = (layers: readonly Pick<LaidLayer, 'glassId'>[], { made }: Shelves): Brought[] =>
  made.flatMap(({ id, name, heat }) => (heat && layers.some(({ glassId }) => glassId === id) ? [{ name, ...heat }] : []));

/** So many contacts are named before the rest is counted. */
const CONTACTS_NAMED = 6;

function contactWords(body: BodyNow, shelves: Shelves): string {
  const words = touchingWords(body, (glassId) => glassName(shelves, glassId));
  if (words.length === 0) return '';
  const more = words.length - CONTACTS_NAMED;
  return BODY_FIGURES.touching(words.slice(0, CONTACTS_NAMED).join(', '), more);
}

/** The three figures of a body: how thick it is, what it weighs, where its rim goes. A tap shows all three in the other units. */
export function BodyFigures({ body, next, work_perPa, shelves }: Pick<BodyFiguresProps, 'body' | 'next' | 'work_perPa' | 'shelves'>) {
  const units = useUnits();
  const [turned, setTurned] = useState(false);
  const glasses = namedGlasses(shelves);
  const made = bodyOf(body, glasses);
  if (!made.ok) return <Notice tone="warn">{made.problem.message}</Notice>;
  if (made.value.body.glasses.length === 0) return null;
  const { depth, afterFiring } = bodyFigures(made.value.body);
  const mass_kg = massNow(body, glasses);
  const even = depth.max_m - depth.min_m < 1e-4;
  // One figure: what the firing does that it is for, as its drawing shows it; what it would come to in the end where none is planned.
  const isForFiring = next !== undefined && work_perPa !== null;
  const moves_m = isForFiring ? rimMovesIn(made.value.body, next.look, work_perPa) : afterFiring.rimMoves_m;
  const figures = ({ length, mass }: Units) => {
    const most = formatLength(depth.max_m, length);
    const by = formatLength(moves_m, length);
    return {
      deep: even ? most : { figure: BODY_FIGURES.to(formatLength(depth.min_m, length).figure, most.figure), unit: length },
      heavy: formatMass(mass_kg, mass),
      moves: { ...by, figure: moves_m > 0 ? `+${by.figure}` : by.figure },
    };
  };
  const [shown, others] = [figures(turned ? otherUnits(units) : units), figures(turned ? units : otherUnits(units))];
  return (
    <Pressable
      role="button"
      onPress={() => setTurned(!turned)}
      style={{ flexDirection: 'row', gap: space.large, minHeight: TARGET }}
      {...({ dataSet: { turned: String(turned) } } as object)}
      testID="figures"
    >
      <FigureBlock label={BODY_FIGURES.thickness} wide={!even} value={shown.deep} testID="figure-depth" />
      <FigureBlock label={BODY_FIGURES.mass} value={shown.heavy} testID="figure-mass" />
      {!takesOtherForm(next) && (
        <FigureBlock
          label={BODY_FIGURES.rimMoves}
          value={shown.moves}
          note={isForFiring ? BODY_FIGURES.inThisFiring : BODY_FIGURES.ifLeftFlow}
          testID="figure-rim"
        />
      )}
      <Hidden>
        <Words>{BODY_FIGURES.or([others.deep, others.heavy, ...(takesOtherForm(next) ? [] : [others.moves])].map(text).join(', '))}</Words>
      </Hidden>
    </Pressable>
  );
}

/** A puddle or a casting: its rim goes elsewhere. */
const takesOtherForm = (next: PlannedStep | undefined): boolean => next !== undefined && Boolean(RECIPES[next.look].puddle ?? RECIPES[next.look].fills);

/** What has been done to the glass: what its steps put on and took, how it lies, what heat it has had, and where its rim tends. */
export function BodyHistory({ body, after, next, turns, shelves }: Omit<BodyFiguresProps, 'work_perPa'>) {
  const units = useUnits();
  const made = bodyOf(body, namedGlasses(shelves));
  if (!made.ok || made.value.body.glasses.length === 0) return null;
  const { afterFiring } = bodyFigures(made.value.body);
  const sum = ledgerWords(ledgerOf(after), units);
  const heat = heatWords(turns, made.value.body, units, broughtBy(body.layers, shelves));
  return (
    <View style={{ gap: space.small }}>
      {sum !== null && (
        <Words size="label" testID="ledger">
          {sum}
        </Words>
      )}
      <Words size="label" testID="body-words">
        {[bodyWords(body, units), strikeWords(body, shelves)].filter(Boolean).join(' ')}
      </Words>
      {heat.length > 0 && (
        <Words size="label" testID="figure-haze">
          {heat.join(' ')}
        </Words>
      )}
      <Words size="label" testID="rim-words">
        {next && takesOtherForm(next)
          ? BODY_FIGURES.anotherForm(LOOK_NAMES[next.look].toLowerCase())
          : RIM[afterFiring.tendency](
              ...([afterFiring.naturalDepth_m, -afterFiring.rimMoves_m].map((one) => text(formatLength(one, units.length))) as [string, string]),
            )}
      </Words>
    </View>
  );
}

/** The same in one line; of glass that no firing has met, that. */
export function historyVerdict({ body, turns, shelves }: Pick<BodyFiguresProps, 'body' | 'turns' | 'shelves'>, units: Units): string {
  const made = bodyOf(body, namedGlasses(shelves));
  const [heat] = made.ok && made.value.body.glasses.length > 0 ? heatWords(turns, made.value.body, units, broughtBy(body.layers, shelves)) : [];
  return heat?.replace(/\.$/, '') ?? BODY_FIGURES.notFiredYet;
}

/** What touches what; empty where one glass lies alone. */
export function Touching({ body, shelves }: Pick<BodyFiguresProps, 'body' | 'shelves'>) {
  const words = contactWords(body, shelves);
  if (words === '') return null;
  return (
    <Words size="label" tone="muted" testID="touching">
      {words}
    </Words>
  );
}
