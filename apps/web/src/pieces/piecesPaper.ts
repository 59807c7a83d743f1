/** The list of pieces on paper: the rows that have been read. */
import { footprintWords } from '@torvin/core/body';
import { LOOK_NAMES } from '@torvin/core/look';
import type { Units } from '@torvin/core/units';
import type { PieceRow } from '@torvin/schema';
import { layersWords } from '@/layup/describe';
import { ofAll } from '@/paper/ofAll';
import { type Paper, row } from '@/paper/paperPages';
import { PIECES_PAPER } from './words';
import { WORDS } from '@/ui/said';

export function piecesPaper(rows: readonly PieceRow[], total: number, units: Units): Paper {
  return {
    title: WORDS.pieces,
    about: ofAll(rows.length, total, 'pieces'),
    blocks: rows.map(({ name, footprint, laid, looks, tags }) =>
      row(name, [
        [footprintWords(footprint, units.length), layersWords(laid), ...tags].join(' · '),
        looks.length > 0 ? looks.map((look) => LOOK_NAMES[look]).join(', then ') : PIECES_PAPER.noFiringPlanned,
      ]),
    ),
  };
}
