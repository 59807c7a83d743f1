import { glassOf } from '@torvin/core/schedule';
import { stressRead } from '@torvin/core/stress';
import type { FiringDetail } from '@torvin/schema';

/** The tension that was read on the piece itself between crossed polarisers, Pa; null where none was, or on a plain piece beside it. */
export function tensionRead({ firing: { measured }, schedule: { snapshot } }: Pick<FiringDetail, 'firing' | 'schedule'>): number | null {
  if (measured.stress === null || measured.alongside_m !== null || snapshot.firing.body.glasses.length === 0) return null;
  return stressRead(glassOf(snapshot.firing), measured.stress);
}
