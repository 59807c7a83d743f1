/** Lists that are read by pages. */
import { useEffect } from 'react';

interface Pages {
  hasNextPage: boolean;
  isFetchingNextPage: boolean;
  fetchNextPage(): unknown;
}

/** Reads the next page, if there is one and none is on its way. */
export function readOn({ hasNextPage, isFetchingNextPage, fetchNextPage }: Pages): void {
  if (hasNextPage && !isFetchingNextPage) fetchNextPage();
}

/** Reads on until the row is there that is asked for; have: how many are there. */
export function useReadTo(row: number, have: number, { hasNextPage, isFetchingNextPage, fetchNextPage }: Pages): void {
  const short = have > 0 && have <= row;
  useEffect(() => {
    if (short) readOn({ hasNextPage, isFetchingNextPage, fetchNextPage });
  }, [short, have, hasNextPage, isFetchingNextPage, fetchNextPage]);
}
