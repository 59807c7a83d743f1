/** Words for a piece and its firings, shared by list, page and run sheet. */
import { type LaidLayer, RECIPES } from '@torvin/core';
import type { Step } from '@torvin/schema';
import { countWords } from '@/ui/countWords';

export const firingName = ({ look }: Pick<Step, 'look'>): string => RECIPES[look].name;

export const layersWords = (layers: readonly LaidLayer[]): string => (layers.length === 0 ? 'no glass' : countWords(layers.length, 'layer', 'layers'));
