/** How far a mould in the making has come: by what was told of it, and by what has been fired in it. */
import { type Amounts, type Standing, amountsFor, standing } from '@torvin/core/making';
import type { FormRecord, MakingRecord, Shelves } from '@torvin/schema';
import { useFormNow } from '@/data/forms';

export interface MakingNow {
  form: FormRecord;
  standing: Standing;
  amounts: Amounts;
}

/** Null where there is none, or its form is gone. */
export function useStanding(making: MakingRecord | undefined, shelves: Shelves): MakingNow | null {
  const now = useFormNow(making?.formId, shelves);
  const form = shelves.forms.find(({ id }) => id === making?.formId);
  if (!making || !form) return null;
  const amounts = amountsFor(making, form);
  return { form, amounts, standing: standing(making, now?.use.lastAt ?? null, amounts.dry_kg) };
}
