/** Words for a piece's firings, shared by list, page and run sheet. */
import { RECIPES } from '@torvin/core';
import type { Step } from '@torvin/schema';

export const stepName = ({ look }: Pick<Step, 'look'>): string => RECIPES[look].name;
