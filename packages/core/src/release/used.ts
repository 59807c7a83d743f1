/** How far a bottle, a can or a roll goes, by the studio's own coats: how many were laid of it, and on how much. */
import { type FormShape, touchedArea } from '../form/shape';
import type { Units } from '../units/convert';
import { formatWideArea, text } from '../units/format';

export const COATED_BY = ['brush', 'spray', 'hand'] as const;
/** How a coat was laid on: a sprayed one takes less of a bottle, or more where it drifts; hand: paper and blanket. */
export type CoatedBy = (typeof COATED_BY)[number];
const BY_WORDS: Record<CoatedBy, string> = { brush: 'brushed', spray: 'sprayed', hand: 'laid by hand' };

interface Part {
  by: CoatedBy;
  coats: number;
  area_m2: number;
}

export interface Used {
  coats: number;
  /** Of all coats together, m². */
  area_m2: number;
  /** Moulds, formers and shelves that have them. */
  forms: number;
  /** The same by how they were laid on, of those where that was told. */
  parts: Part[];
}

interface Laid {
  coats: number;
  at: number;
  on: FormShape;
  onId: string;
  by?: CoatedBy;
}

const summed = (laid: readonly Laid[]): { coats: number; area_m2: number } => ({
  coats: laid.reduce((sum, { coats }) => sum + coats, 0),
  area_m2: laid.reduce((sum, { coats, on }) => sum + coats * touchedArea(on), 0),
});

/** laid: each coat that was told, of one release; from: since when, ms, where that is told. */
export function usedOf(laid: readonly Laid[], from = -Infinity): Used {
  const since = laid.filter(({ at }) => at >= from);
  const parts = COATED_BY.map((by) => ({ by, ...summed(since.filter((one) => one.by === by)) })).filter(({ coats }) => coats > 0);
  return { ...summed(since), forms: new Set(since.map(({ onId }) => onId)).size, parts };
}

const coatsWords = (n: number): string => (n === 1 ? 'one coat' : `${n} coats`);

/** '12 coats in 3 places, 0.84 m² of coat in all (8 brushed, 0.60 m²; 4 sprayed, 0.24 m²); 28 of 40 are left.' yields: what one gives, where that is told. */
export function usedWords({ coats, area_m2, forms, parts }: Used, yields: number | undefined, { length }: Units): string {
  if (coats === 0) return 'No coat recorded yet.';
  const area = text(formatWideArea(area_m2, length));
  const on = forms === 1 ? 'in one place' : `in ${forms} places`;
  const left = yields === undefined ? '' : coats >= yields ? `; it should give ${yields}` : `; ${yields - coats} of ${yields} are left`;
  const told = parts.map((part) => `${part.coats} ${BY_WORDS[part.by]}, ${text(formatWideArea(part.area_m2, length))}`).join('; ');
  // One way alone is told by its word.
  const ways = told === '' ? '' : parts.length === 1 && parts[0].coats === coats ? `, all ${BY_WORDS[parts[0].by]}` : ` (${told})`;
  return `${coatsWords(coats)} ${on}, ${area} of coat in all${ways}${left}.`.replace(/^./, (first) => first.toUpperCase());
}
