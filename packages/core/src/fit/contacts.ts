/** Which glasses of a lay-up touch: every layer the one under it, and through a layer that leaves gaps the one below that. */
import type { BodyInput } from '../body/body';
import { coverOf, denseDepth } from '../body/layers';
import type { Contact } from './fit';

export function contactsOf({ glasses, layers, parts = [] }: BodyInput): Required<Contact>[] {
  const found = new Map<string, Required<Contact>>();
  const touch = (lower: number, lower_m: number, upper: number, upper_m: number): void => {
    const key = `${lower} ${upper}`;
    if (!found.has(key)) found.set(key, { lower, upper, lower_m, upper_m });
  };
  const over = (from: number, upper: number, upper_m: number): void => {
    for (let i = from; i >= 0; i -= 1) {
      touch(layers[i].glass, denseDepth(layers[i], glasses), upper, upper_m);
      if (coverOf(layers[i]) >= 1) return;
    }
  };
  layers.forEach((layer, i) => over(i - 1, layer.glass, denseDepth(layer, glasses)));
  for (const part of parts) over(layers.length - 1, part.glass, part.thickness_m);
  return [...found.values()];
}
