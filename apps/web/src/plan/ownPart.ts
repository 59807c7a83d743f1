/** What the plan knows of a part that can be chosen. */
import type { Point } from '@torvin/core/plan';
import type { DrawnPart } from './PlanDrawing';

/** A part that can be chosen: as it is drawn, turned and called. */
export interface OwnPart extends DrawnPart {
  /** In a few words, and as it is read out with where it lies. */
  called: string;
  name: string;
  middle: Point;
  turned_deg: number;
  /** As it is said over it while it is moved. */
  size: string;
}
