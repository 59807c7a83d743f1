/** What is searched in the Notebook and how it is narrowed, as it stands in the address. */
import { LOOKS, type Look } from '@torvin/core/look';
import type { FiringQuery } from '@torvin/schema';
import { type AddressOf, type ListQuery, listParams, rowOf, searchOf, textOf, useAsked, useListAddress } from '@/ui/useListAddress';

export interface NotebookQuery extends ListQuery {
  look?: Look;
  result?: FiringQuery['result'];
  /** Id of the mould or former that it stood in. */
  form?: string;
}

const RESULTS = ['short', 'right', 'past', 'open'] as const;
const oneOf = <T extends string>(choices: readonly T[], value: string | undefined): T | undefined => choices.find((choice) => choice === value);

export const NOTEBOOK_ADDRESS: AddressOf<NotebookQuery> = {
  from: (params) => ({ text: textOf(params), look: oneOf(LOOKS, params.look), result: oneOf(RESULTS, params.came), form: params.form, row: rowOf(params) }),
  params: (query) => ({ ...listParams(query), look: query.look, came: query.result, form: query.form }),
};

/** The address of the list as it was searched and narrowed. */
export const useNotebookHref = () => `/notebook${searchOf(NOTEBOOK_ADDRESS, useAsked(NOTEBOOK_ADDRESS))}` as const;

export const useNotebookQuery = () => useListAddress(NOTEBOOK_ADDRESS);
