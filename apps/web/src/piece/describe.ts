/** Words for a piece and its firings, shared by list, page and run sheet. */
import { RECIPES } from '@torvin/core';
import type { PieceDoc, Step } from '@torvin/schema';
import { countWords } from '@/ui/countWords';

export const stepName = ({ look }: Pick<Step, 'look'>): string => RECIPES[look].name;

export const layersWords = ({ layers }: Pick<PieceDoc, 'layers'>): string => (layers.length === 0 ? 'no glass' : countWords(layers.length, 'layer', 'layers'));
