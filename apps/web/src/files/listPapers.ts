/** Lists on paper: the rows that have been read. */
import { footprintWords } from '@torvin/core/body';
import { RECIPES } from '@torvin/core/look';
import { type Units, formatDuration, formatTemperature, text } from '@torvin/core/units';
import type { FiringRow, PieceRow } from '@torvin/schema';
import { format } from 'date-fns/format';
import { layersWords } from '@/layup/describe';
import { inZone } from '@/ui/clock';
import { resultWords, seenWords } from '@/ui/results';
import { type Paper, row } from './paperPages';

/** rows: those that have been read; total: all that were found. */
const ofAll = (rows: number, total: number, what: string): string => (rows < total ? `the first ${rows} of ${total} ${what}` : `${total} ${what}`);

export function notebookPaper(rows: readonly FiringRow[], total: number, units: Units): Paper {
  return {
    title: 'Notebook',
    about: ofAll(rows.length, total, 'firings'),
    blocks: rows.map((firing) =>
      row(
        firing.pieceName,
        [
          `${format(inZone(firing.firedAt, firing.zone), 'd MMM yyyy, HH:mm')} · ${firing.kilnName}${firing.place ? `, ${firing.place}` : ''}`,
          `${RECIPES[firing.look].name}, ${text(formatTemperature(firing.ran_C, units.temperature))} for ${text(formatDuration(firing.ran_s))}`,
          [seenWords(firing), firing.note].filter(Boolean).join(' · '),
        ],
        resultWords(firing.result),
      ),
    ),
  };
}

export function piecesPaper(rows: readonly PieceRow[], total: number, units: Units): Paper {
  return {
    title: 'Pieces',
    about: ofAll(rows.length, total, 'pieces'),
    blocks: rows.map(({ name, footprint, laid, looks, tags }) =>
      row(name, [
        [footprintWords(footprint, units.length), layersWords(laid), ...tags].join(' · '),
        looks.length > 0 ? looks.map((look) => RECIPES[look].name).join(', then ') : 'no firing planned yet',
      ]),
    ),
  };
}

export const shelfPaper = (title: string, rows: readonly { name: string; about: string }[]): Paper => ({
  title,
  about: String(rows.length),
  blocks: rows.map(({ name, about }) => row(name, [about])),
});
