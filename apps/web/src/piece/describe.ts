/** Words for a piece's firings, shared by list, page and run sheet. */
import { PURPOSES } from '@torvin/core';
import type { Step } from '@torvin/schema';

export const stepName = ({ look }: Pick<Step, 'look'>): string => PURPOSES[look].name;
