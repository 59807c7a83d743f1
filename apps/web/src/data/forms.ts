/** What was fired in the studio's moulds and formers, and what is left of their coats. */
import { type Coated, type FormUse, type Release, type Shelves, asks } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

const formUsesReading = queryOptions({ queryKey: keys.formUses, queryFn: ({ signal }) => call(asks.formUses, { signal }), staleTime: 60_000 });

/** The newest coat of one place of a form, of what, and what was fired on it since. */
export interface CoatNow {
  coat: Coated;
  release: Release;
  since: FormUse['coats'][number];
}

export interface FormNow {
  use: FormUse;
  coats: CoatNow[];
}

/** Of a form on the shelf; null while it is not known, or where the server does not answer. */
export function useFormNow(formId: string | undefined, { coated, releases, forms }: Pick<Shelves, 'coated' | 'releases' | 'forms'>): FormNow | null {
  const { data } = useQuery({ ...formUsesReading, enabled: formId !== undefined && forms.some(({ id }) => id === formId) });
  const use = data?.find(({ id }) => id === formId);
  if (!use) return null;
  const zones = new Set<string>();
  // The newest first, as they stand on their shelf.
  const coats = coated.flatMap((coat): CoatNow[] => {
    const release = releases.find(({ id }) => id === coat.releaseId);
    const since = use.coats.find(({ id }) => id === coat.id);
    if (coat.formId !== formId || zones.has(coat.zone) || !release || !since) return [];
    zones.add(coat.zone);
    return [{ coat, release, since }];
  });
  return { use, coats };
}
