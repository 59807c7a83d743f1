/** The studio's settings, changed at once on the screen and kept on the server. */
import type { Units } from '@torvin/core/units';
import { type Studio, asks } from '@torvin/schema';
import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useOutbox } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys, readAnew } from '@/outside/keys';
import { readStored, writeStored } from '@/outside/storage';

const UNTIL_LOADED: Studio = { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'system', csv: 'comma' };

const KEPT = 'torvin-studio-settings';

/** As they were last read here: so that no page is drawn in other units first, and none without the server. */
const kept = (): Studio | undefined => {
  const settings = readStored<Partial<Studio>>('localStorage', KEPT);
  return settings ? { ...UNTIL_LOADED, ...settings } : undefined;
};

/** null while the server has not said anything yet, nor anything is kept here. */
export function useStudioRead(): Studio | null {
  const { data, isError } = useQuery(studioReading);
  return data ?? (isError ? UNTIL_LOADED : null);
}

export const studioReading = queryOptions({
  queryKey: keys.studio,
  async queryFn({ signal }) {
    const read = await call(asks.studio, { signal });
    writeStored('localStorage', KEPT, read);
    return read;
  },
  initialData: kept,
  initialDataUpdatedAt: 0,
});

export const useStudio = (): Studio => useQuery(studioReading).data ?? UNTIL_LOADED;

/** The units set for the studio. Keeps its identity while nothing changes. */
export function useStudioUnits(): Units {
  const { temperatureUnit: temperature, lengthUnit: length, massUnit: mass } = useStudio();
  return useMemo(() => ({ temperature, length, mass }), [temperature, length, mass]);
}

/** Shown at once; what the server refuses is read again. */
export function useSaveStudio(): (change: Partial<Studio>) => void {
  const client = useQueryClient();
  const outbox = useOutbox();
  return (change) => {
    const next = { ...(client.getQueryData<Studio>(keys.studio) ?? UNTIL_LOADED), ...change };
    client.setQueryData(keys.studio, next);
    writeStored('localStorage', KEPT, next);
    void outbox.put('saveStudio', next, { own: true }).arrival.then(({ ok }) => {
      if (!ok) return void readAnew(client, keys.studio);
      if (change.limits) for (const key of [keys.shelves, keys.bench, keys.loads]) void readAnew(client, key);
    });
  };
}
