/** How far a bottle, a can or a roll goes, by the studio's own coats: how many were laid of it, and on how much. */
import { type FormShape, touchedArea } from '../form/shape';
import type { Units } from '../units/convert';
import { formatWideArea, text } from '../units/format';

export interface Used {
  coats: number;
  /** Of all coats together, m². */
  area_m2: number;
  /** Moulds, formers and shelves that have them. */
  forms: number;
}

/** laid: each coat that was told, of one release; from: since when, ms, where that is told. */
export function usedOf(laid: readonly { coats: number; at: number; on: FormShape; onId: string }[], from = -Infinity): Used {
  const since = laid.filter(({ at }) => at >= from);
  return {
    coats: since.reduce((sum, { coats }) => sum + coats, 0),
    area_m2: since.reduce((sum, { coats, on }) => sum + coats * touchedArea(on), 0),
    forms: new Set(since.map(({ onId }) => onId)).size,
  };
}

const coatsWords = (n: number): string => (n === 1 ? 'one coat' : `${n} coats`);

/** '12 coats in 3 places, 0.84 m² of coat in all; 28 of 40 are left.' yields: what one gives, where that is told. */
export function usedWords({ coats, area_m2, forms }: Used, yields: number | undefined, { length }: Units): string {
  if (coats === 0) return 'No coat of it has been told yet.';
  const area = text(formatWideArea(area_m2, length));
  const on = forms === 1 ? 'in one place' : `in ${forms} places`;
  const left = yields === undefined ? '' : coats >= yields ? `; it was told to give ${yields}` : `; ${yields - coats} of ${yields} are left`;
  return `${coatsWords(coats)} ${on}, ${area} of coat in all${left}.`.replace(/^./, (first) => first.toUpperCase());
}
