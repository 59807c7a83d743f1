/** Words for a piece and its firings, shared by list, page and run sheet. */
import { LOOK_NAMES } from '@torvin/core/look';
import type { Filing, Step } from '@torvin/schema';
import { countWords } from '@/ui/countWords';

export const firingName = ({ look }: Pick<Step, 'look'>): string => LOOK_NAMES[look];

/** How a piece is filed, in a word where there is one to say. */
export const filedWords = ({ awayAt, patternAt, finishedAt }: Omit<Filing, 'tags' | 'dueOn'>): string[] =>
  awayAt !== null ? ['archived'] : patternAt !== null ? ['pattern'] : finishedAt !== null ? ['finished'] : [];

export const layersWords = (layers: number): string => (layers === 0 ? 'no glass' : countWords(layers, 'layer', 'layers'));
