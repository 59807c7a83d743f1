/**
 * What a bead that moves shows. Only what answers the finger is written anew while it moves: its bead, its row's figure, the
 * curve, the figures above. The rest of the page follows once the finger rests.
 */
import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import { useCallback, useEffect, useLayoutEffect, useRef } from 'react';

export interface Moving {
  segments: PurposefulSegment[];
  /** The engine's word on these segments, or on those of a moment ago. */
  evaluation: Evaluation;
  /** It is on these. */
  current: boolean;
}

export interface Live {
  /** Null while no bead moves. */
  now(): Moving | null;
  set(moving: Moving | null): void;
  subscribe(heard: () => void): () => void;
}

export function makeLive(): Live {
  let moving: Moving | null = null;
  const listening = new Set<() => void>();
  return {
    now: () => moving,
    set(next) {
      if (moving === next) return;
      moving = next;
      for (const heard of listening) heard();
    },
    subscribe(heard) {
      listening.add(heard);
      return () => listening.delete(heard);
    },
  };
}

/** Of a schedule that is only shown. */
export const STILL: Live = makeLive();

/**
 * Writes what moves into the page itself, without React, which takes too long for a finger; null: what stands still is to be written
 * again. After each of React's own renders too, which may be of a moment ago.
 */
export function useWritten(live: Live, write: (moving: Moving | null) => void): void {
  const latest = useRef(write);
  latest.current = write;
  const differs = useRef(false);
  const written = useCallback(() => {
    const moving = live.now();
    if (moving || differs.current) latest.current(moving);
    differs.current ||= moving !== null;
  }, [live]);
  useLayoutEffect(() => {
    written();
    // What React drew last stands there again.
    if (live.now() === null) differs.current = false;
  });
  useEffect(() => live.subscribe(written), [live, written]);
}

/** Changes the words of an element whose first child they are, if they differ. */
export function writeWords(element: Element | null | undefined, words: string): void {
  const node = element?.firstChild;
  if (node && node.nodeValue !== words) node.nodeValue = words;
}
