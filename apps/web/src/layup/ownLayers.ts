import type { LaidLayer, LayStep } from '@torvin/core/piece';

/** Which of a body's layers a step lays; none where it lays none. */
export function ownLayers(layers: readonly LaidLayer[], laying: LayStep | undefined): { from: number; to: number } {
  if (!laying || laying.layers.length === 0) return { from: layers.length, to: layers.length };
  const from = layers.findIndex(({ id }) => id === laying.layers[0].id);
  return from < 0 ? { from: layers.length, to: layers.length } : { from, to: from + laying.layers.length };
}
