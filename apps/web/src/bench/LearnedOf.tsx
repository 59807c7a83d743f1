import type { Bench, Shelves } from '@torvin/schema';
import { useState } from 'react';
import { useLearned } from '@/data/bench';
import { problemOfError } from '@/outside/client';
import { Chips } from '@/ui/Chips';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { Learned } from './Learned';
import { BENCH, BENCH_SCREEN } from './words';

/** Of the kiln that was told of last, or of another one that has taught. */
export interface LearnedOfProps {
  bench: Bench;
  kilns: Shelves['kilns'] | undefined;
}

export function LearnedOf({ bench: { learned, taught }, kilns }: LearnedOfProps) {
  const [kiln, setKiln] = useState<string | null>(null);
  const other = useLearned(kiln);
  return (
    <>
      {taught.length > 1 && (
        <Chips
          label={BENCH.ofWhichKiln}
          value={kiln ?? learned?.kilnId ?? null}
          options={taught.map(({ kilnId, kilnName }) => ({ value: kilnId, title: kilnName }))}
          onChange={setKiln}
          testID="learned-of"
        />
      )}
      {kiln !== null && other.error && <Notice tone="warn">{problemOfError(other.error).message}</Notice>}
      {kiln !== null && other.isPending ? (
        <Words tone="muted">{BENCH_SCREEN.reading}</Words>
      ) : (
        <Learned learned={kiln === null ? learned : (other.data ?? null)} kilns={kilns} />
      )}
    </>
  );
}
