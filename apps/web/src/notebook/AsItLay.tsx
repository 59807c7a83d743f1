/** A firing's piece from the side, on its form: as it came out, or as it was put in where it was not opened. */
import { type Evaluation, glassAfter } from '@torvin/core/schedule';
import type { FiringDetail } from '@torvin/schema';
import { FiredSection } from '@/section/FiredSection';
import { SectionDrawing } from '@/section/SectionDrawing';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { FIRING_SCREEN } from './words';

const DRAWING_HEIGHT = 120;

export interface AsItLayProps {
  detail: FiringDetail;
  evaluation: Evaluation;
  /** px. */
  height?: number;
}

export function AsItLay({ detail: { firing, schedule }, evaluation, height = DRAWING_HEIGHT }: AsItLayProps) {
  const { snapshot } = schedule;
  const end = firing.result === null ? null : glassAfter(snapshot.firing, evaluation.work_perPa.mean);
  if (!end)
    return (
      <MeasuredWidth height={height}>
        {(width) => <SectionDrawing footprint={snapshot.firing.body.footprint} layers={snapshot.layers} width={width} height={height} />}
      </MeasuredWidth>
    );
  return (
    <FiredSection firing={snapshot.firing} layers={snapshot.layers} at={end} end={end} height={height} words={FIRING_SCREEN.cameOut} testID="as-it-came-out" />
  );
}
