/** Who takes of the made glass on the shelf, and what is left of it. */
import { type Made, type MadeUse, asks } from '@torvin/schema';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

/** Read anew with every change of a piece or a shelf; where the server does not answer, nothing is said of what is left. */
const madeUsesReading = queryOptions({ queryKey: keys.madeUses, queryFn: ({ signal }) => call(asks.madeUses, { signal }), staleTime: 60_000 });

export interface MadeStock {
  use: MadeUse | undefined;
  /** Made less taken, as the server knows it; negative where more is named than there was. */
  left_kg: number;
}

const NO_USES: readonly MadeUse[] = [];

const stockOf = (made: Made, uses: readonly MadeUse[]): MadeStock => {
  const use = uses.find(({ id }) => id === made.id);
  return { use, left_kg: made.mass_kg - (use?.taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0) ?? 0) };
};

/** Of each made glass; null while it is not known yet. isWanted: nothing is asked where there is none. */
export function useMadeStock(isWanted = true): ((made: Made) => MadeStock) | null {
  const { data = isWanted ? undefined : NO_USES } = useQuery({ ...madeUsesReading, enabled: isWanted });
  return data ? (made) => stockOf(made, data) : null;
}
