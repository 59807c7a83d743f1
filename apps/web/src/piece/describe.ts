/** Words for a piece's lay-up, shared by list, page and run sheet. */
import { type Footprint, footprintSpan, formatLength, text } from '@torvin/core';
import type { PieceDoc, Shelves } from '@torvin/schema';
import type { DrawnLayer } from '@/section/SectionDrawing';

export function footprintWords(footprint: Footprint): string {
  if (footprint.shape === 'disc') return `disc of ${text(formatLength(footprint.diameter_m, 'mm'))}`;
  if (footprint.shape === 'polygon') return `outline of ${footprint.corners_m.length} corners, ${text(formatLength(footprintSpan(footprint), 'mm'))} across`;
  const sides = `${formatLength(footprint.width_m, 'mm').figure} × ${text(formatLength(footprint.length_m, 'mm'))}`;
  return footprint.shape === 'oval' ? `oval of ${sides}` : sides;
}

const UNKNOWN_COLOUR = '#9AA8A2';

export const drawnLayers = (doc: Pick<PieceDoc, 'layers'>, shelves: Shelves | undefined): DrawnLayer[] =>
  doc.layers.map(({ glassId, thickness_m }) => {
    const glass = shelves?.glasses.find(({ id }) => id === glassId);
    return { name: glass?.name ?? glassId, colour: glass?.colour ?? UNKNOWN_COLOUR, thickness_m };
  });
