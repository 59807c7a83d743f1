/** A picture of a sketch under the plan, in its own size and place. */
import type { Sketch } from '@torvin/core/piece';
import { Image } from 'react-native-svg';
import { photoUrl } from '@/photos/Thumbnail';
import type { PlanGeometry } from './geometry';

const FAINT = 0.55;

export function SketchUnder({ sketch: { hash, width_m, aspect, x_m, y_m }, drawn }: { sketch: Sketch; drawn: PlanGeometry }) {
  const [width, height] = [width_m * drawn.scale, width_m * aspect * drawn.scale];
  return (
    <Image
      href={photoUrl(hash, 'large')}
      x={drawn.x(x_m) - width / 2}
      y={drawn.y(y_m) - height / 2}
      width={width}
      height={height}
      preserveAspectRatio="none"
      opacity={FAINT}
    />
  );
}
