/** Old records may have put two firings into one kiln at a time: both pages that show the kilns say so. */
import type { Firing } from '@torvin/schema';
import { Notice } from '@/ui/Notice';
import { useNow } from '@/ui/useNow';
import { twiceUsed } from './byLoad';
import { BENCH } from './words';

export function UsedTwice({ loads }: { loads: readonly Firing[][] }) {
  const now = useNow();
  return (
    <>
      {twiceUsed(loads, now).map((kiln) => (
        <Notice key={kiln} tone="warn" testID="kiln-used-twice">
          {BENCH.usedTwice(kiln)}
        </Notice>
      ))}
    </>
  );
}
