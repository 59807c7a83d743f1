/** How deep a body lies, what it weighs, and where its rim goes if it is left to flow. */
import { bodyFigures } from '@torvin/core/body';
import { RECIPES, rimMovesIn } from '@torvin/core/look';
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
import { type Figure, type Units, formatLength, formatMass, otherUnits, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { FigureBlock } from '@/ui/FigureBlock';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';

const RIM = {
  'runs-out': (rest: string) => `Deeper than the ${rest} at which hot glass rests: given heat it runs out at the rim unless dammed.`,
  'draws-in': (rest: string) => `Thinner than the ${rest} at which hot glass rests: given heat the rim draws in and thickens.`,
  stays: (rest: string) => `Near the ${rest} at which hot glass rests: the rim hardly moves.`,
  fills: () => 'Fills its dam, given heat enough.',
  opens: (rest: string) =>
    `A film of grains, far thinner than the ${rest} at which hot glass rests: given heat it draws together into lace or islands, and its outline stays.`,
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
  return `Touching: ${words.slice(0, CONTACTS_NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}.`;
}

export function BodyFigures({ body, after, next, work_perPa, turns, shelves }: BodyFiguresProps) {
  const units = useUnits();
  const glasses = namedGlasses(shelves);
  const made = bodyOf(body, glasses);
  if (!made.ok) return <Notice tone="warn">{made.problem.message}</Notice>;
  if (made.value.body.glasses.length === 0) return null;
  const { depth, afterFiring } = bodyFigures(made.value.body);
  const mass_kg = massNow(body, glasses);
  const sum = ledgerWords(ledgerOf(after), units);
  const touching = contactWords(body, shelves);
  const heat = heatWords(turns, made.value.body, units, broughtBy(body.layers, shelves));
  const even = depth.max_m - depth.min_m < 1e-4;
  const deep = ({ length }: Units): Figure => {
    const most = formatLength(depth.max_m, length);
    return even ? most : { figure: `${formatLength(depth.min_m, length).figure} to ${most.figure}`, unit: length };
  };
  // One figure: what the firing does that it is for, as its drawing shows it; what it would come to in the end where none is planned.
  const isForFiring = next !== undefined && work_perPa !== null;
  const moves_m = isForFiring ? rimMovesIn(made.value.body, next.look, work_perPa) : afterFiring.rimMoves_m;
  const moves = ({ length }: Units): Figure => {
    const by = formatLength(moves_m, length);
    return { ...by, figure: moves_m > 0 ? `+${by.figure}` : by.figure };
  };
  const other = otherUnits(units);
  const recipe = next && RECIPES[next.look];
  const elsewhere = recipe && (recipe.puddle ?? recipe.fills) ? recipe : null;
  return (
    <View style={{ gap: space.small }}>
      <View style={{ flexDirection: 'row', gap: space.large }}>
        <FigureBlock label="depth" wide={!even} value={deep(units)} other={deep(other)} testID="figure-depth" />
        <FigureBlock label="mass" value={formatMass(mass_kg, units.mass)} other={formatMass(mass_kg, other.mass)} testID="figure-mass" />
        {!elsewhere && (
          <FigureBlock
            label="rim moves"
            value={moves(units)}
            other={moves(other)}
            note={isForFiring ? 'in this firing' : 'if left to flow'}
            testID="figure-rim"
          />
        )}
      </View>
      {sum !== null && (
        <Words size="label" testID="ledger">
          {sum}
        </Words>
      )}
      <Words size="label" testID="body-words">
        {[bodyWords(body, units), strikeWords(body, shelves)].filter(Boolean).join(' ')}
      </Words>
      {touching !== '' && (
        <Words size="label" tone="muted" testID="touching">
          {touching}
        </Words>
      )}
      {heat.length > 0 && (
        <Words size="label" testID="figure-haze">
          {heat.join(' ')}
        </Words>
      )}
      <Words size="label">
        {elsewhere
          ? `A ${elsewhere.name.toLowerCase()} takes it to another form: its run sheet tells which.`
          : RIM[afterFiring.tendency](
              ...([afterFiring.naturalDepth_m, -afterFiring.rimMoves_m].map((one) => text(formatLength(one, units.length))) as [string, string]),
            )}
      </Words>
    </View>
  );
}
