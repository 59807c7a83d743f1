/** What every sheet of Reckon is given. */
import type { Shelves } from '@torvin/schema';
import type { Typed } from './typed';
import type { Where } from './useWhere';

export interface SheetProps {
  typed: Typed;
  /** Changes some of what is typed. */
  set(change: Typed): void;
  shelves: Shelves;
  where: Where | null;
  /** It went into a piece. */
  onPut(): void;
}
