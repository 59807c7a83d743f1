/** What somebody drops on a page or pastes into it, and which of what is open takes it. */
import { useEffect, useRef } from 'react';

/** file: a piece file, as it is. text: a schedule, in whatever words. */
export interface Brought {
  pictures: File[];
  schedule: string;
  piece: File;
}
export type BroughtKind = keyof Brought;

interface Taker<K extends BroughtKind = BroughtKind> {
  kind: K;
  take(what: Brought[K]): void;
}

/** The one that was opened last takes it. */
const takers: Taker[] = [];
/** By kind, and by whose it is. */
const waiting = new Map<string, Brought[BroughtKind]>();
const placeOf = (kind: BroughtKind, of: string): string => `${kind} ${of}`;

export const isTaken = (kind: BroughtKind): boolean => takers.some((one) => one.kind === kind);

/** Whether somebody took it. */
export function bring<K extends BroughtKind>(kind: K, what: Brought[K]): boolean {
  const taker = takers.findLast((one): one is Taker<K> => one.kind === kind);
  taker?.take(what);
  return taker !== undefined;
}

/** For the page that is opened for it. of: whose it is, as a piece's id; nobody else is given it. */
export const leaveFor = <K extends BroughtKind>(kind: K, what: Brought[K], of = ''): void => void waiting.set(placeOf(kind, of), what);

/** While it is open, what comes of a kind comes here, and what was left for it. off: not now. of: as in leaveFor. */
export function useTakes<K extends BroughtKind>(kind: K, take: (what: Brought[K]) => void, { off = false, of = '' } = {}): void {
  const now = useRef(take);
  now.current = take;
  useEffect(() => {
    if (off) return undefined;
    const taker: Taker<K> = { kind, take: (what) => now.current(what) };
    takers.push(taker as Taker);
    const left = waiting.get(placeOf(kind, of)) as Brought[K] | undefined;
    if (left !== undefined) {
      waiting.delete(placeOf(kind, of));
      taker.take(left);
    }
    return () => void takers.splice(takers.indexOf(taker as Taker), 1);
  }, [kind, off, of]);
}
