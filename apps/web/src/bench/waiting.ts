/** What a piece waits for, in words. */
import { RECIPES } from '@torvin/core/look';
import type { WaitingPiece } from '@torvin/schema';

export function waitsFor({ for: what, look, step }: Pick<WaitingPiece, 'for' | 'look' | 'step'>): string {
  const name = look === null ? 'firing' : RECIPES[look].name.toLowerCase();
  switch (what) {
    case 'choice':
      return 'a firing to be chosen';
    case 'decision':
      return `a decision: its ${name} went too far`;
    case 'again':
      return `another ${name}: the last fell short`;
    case 'schedule':
      return `the schedule of its ${name}`;
    case 'kiln':
      return `the kiln, for its ${name}`;
    case 'hand':
      return `the bench: ${(step ?? 'a step').toLowerCase()}`;
  }
}
