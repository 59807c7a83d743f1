/** What a plan's concerns say to who lays it. */
import type { LengthUnit } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { PlanConcern } from './concerns';

/** What has less of it on another than the rest of this was not meant to lie on it. */
const HARDLY_BORNE = 0.85;

/** nameOf: what a part is called. */
export function concernWords(concern: PlanConcern, nameOf: (part: string) => string, unit: LengthUnit): string {
  const length = (metres: number): string => text(formatLength(metres, unit));
  switch (concern.kind) {
    case 'outside':
      return `Off the piece: ${nameOf(concern.part)} lies beside it, on the bare shelf.`;
    case 'offBase':
      return `Over the rim: ${nameOf(concern.part)} stands out ${length(concern.over_m)}. What stands out bends down to the shelf as it softens.`;
    case 'nearRim':
      return `Near the rim: ${nameOf(concern.part)} lies ${length(concern.gap_m)} from it, less than it is thick. As both soften the rim bulges there.`;
    case 'edgeShows':
      return `At the rim: a side of ${nameOf(concern.part)} is one with it, so that its cut shows. Grind that side, or set it back.`;
    case 'bridges':
      if (concern.air > HARDLY_BORNE)
        return `Overlap: ${nameOf(concern.part)} lies over the edge of ${nameOf(concern.over)} and stands on it until it softens. Move one of them.`;
      return `In the air: ${Math.round(concern.air * 100)} % of ${nameOf(concern.part)} lies over nothing, as it rests on ${nameOf(concern.over)}. It bends down as it softens, and air can stay under it.`;
    case 'drawsIn':
      return `Thin under its parts: the base is ${length(concern.base_m)} where it is bare and glass comes to rest at ${length(concern.rest_m)}. Hot enough to flow it draws in between the parts and at the rim; a second sheet under it holds its outline.`;
  }
}
