/** The Notebook on paper: the rows that have been read. */
import { LOOK_NAMES } from '@torvin/core/look';
import { type Units, formatDuration, formatTemperature, text } from '@torvin/core/units';
import type { FiringRow } from '@torvin/schema';
import { ofAll } from '@/paper/ofAll';
import { type Paper, row } from '@/paper/paperPages';
import { firedWords } from '@/ui/clock';
import { resultWords, seenWords } from '@/ui/results';
import { NOTEBOOK_PAPER } from './words';
import { WORDS } from '@/ui/said';

export function notebookPaper(rows: readonly FiringRow[], total: number, units: Units): Paper {
  return {
    title: WORDS.notebook,
    about: ofAll(rows.length, total, 'firings'),
    blocks: rows.map((firing) =>
      row(
        firing.pieceName,
        [
          `${firedWords(firing)} · ${firing.kilnName}${firing.place ? `, ${firing.place}` : ''}`,
          NOTEBOOK_PAPER.for(LOOK_NAMES[firing.look], text(formatTemperature(firing.ran_C, units.temperature)), text(formatDuration(firing.ran_s))),
          [seenWords(firing), firing.note].filter(Boolean).join(' · '),
        ],
        resultWords(firing.result),
      ),
    ),
  };
}
