/** What was cut, as it goes into a piece: a panel in place of what is laid there, strips, segments and caps on top of it. */
import { footprintArea } from '@torvin/core/body';
import { COVER_RANGE, LAYER_KINDS, type LaidLayer, SHEET_RANGE_M, putGlass } from '@torvin/core/piece';
import { refused } from '@torvin/core/problem';
import type { CuttingAsked, CuttingTold } from '@torvin/core/quantity';
import { type Units, formatLength, formatStock, text } from '@torvin/core/units';
import type { Glass } from '@torvin/schema';
import type { ReckonedOf } from './glassOf';
import type { Puts } from './PutOrKeep';

/** Of which glass each part of a woven panel is. */
export interface Glasses {
  up: string;
  across: string;
  cap: string;
}

/** A woven panel, or strips on edge, as layers of cut pieces. */
function panelOf(asked: CuttingAsked, { pieces, finished }: CuttingTold, glasses: Glasses, newId: () => string): LaidLayer[] {
  if (!finished) return [];
  const area_m2 = finished.width_m * finished.length_m;
  const laid = (name: string, glassId: string, thickness_m: number, of: { count: number; width_m: number; length_m: number }[]): LaidLayer => ({
    ...{ id: newId(), glassId, form: 'pieces', name, thickness_m, count: of.reduce((sum, { count }) => sum + count, 0) },
    cover: Math.min(of.reduce((sum, { count, width_m, length_m }) => sum + count * width_m * length_m, 0) / area_m2, 1),
  });
  if (asked.kind === 'onEdge') {
    const count = pieces[0].count / asked.high;
    const row = [{ count, width_m: asked.thickness_m, length_m: asked.length_m }];
    return Array.from({ length: asked.high }, () => laid('Strips on edge', glasses.up, asked.strip_m, row));
  }
  if (asked.kind !== 'woven') return [];
  const [up, across, ...rest] = pieces;
  // The border is two deep: one course of it beside either layer of strips.
  const border = rest.filter(({ name }) => name.startsWith('border')).map((piece) => ({ ...piece, count: piece.count / 2 }));
  return [
    laid('Up the panel', glasses.up, asked.thickness_m, [up, ...border]),
    laid('Across it', glasses.across, asked.thickness_m, [across, ...border]),
    ...(asked.cap ? [capOf(newId(), glasses.cap, asked.cap)] : []),
  ];
}

const capOf = (id: string, glassId: string, { thickness_m, overhang_m }: { thickness_m: number; overhang_m: number }): LaidLayer => ({
  ...{ id, glassId, form: 'cap', thickness_m },
  ...(overhang_m > 0 ? { overhang_m } : {}),
});

/** Strips, or segments on their cut face, laid on what there is. */
function putsPieces(glass: Glass, name: string, { count, width_m, length_m, thickness_m }: CuttingTold['pieces'][number], units: Units): Puts | null {
  if (thickness_m < SHEET_RANGE_M.least || thickness_m > SHEET_RANGE_M.most) return null;
  const one_m2 = width_m * length_m;
  return {
    words: () => `Lays ${count} ${name} of ${glass.name}, ${text(formatStock(thickness_m, units.length))} thick.`,
    replaces: false,
    lays: true,
    into(doc, { newId, into }) {
      const outline_m2 = footprintArea(doc.footprint);
      const cover = (count * one_m2) / outline_m2;
      if (cover > 1 + 1e-6)
        return refused(
          'too-many',
          'count',
          `${count} of them cover more than the outline of this piece: ${Math.floor(outline_m2 / one_m2)} have room beside one another.`,
        );
      return putGlass(doc, {
        layersOn: () => [{ id: newId(), glassId: glass.id, form: 'pieces', thickness_m, count, cover: Math.max(cover, COVER_RANGE.least) }],
        into,
      });
    },
    begins: null,
  };
}

function putsPanel(glass: Glass, asked: CuttingAsked, told: CuttingTold, glasses: Glasses, units: Units): Puts | null {
  const { finished } = told;
  if (!finished || (asked.kind === 'onEdge' && asked.strip_m > SHEET_RANGE_M.most)) return null;
  const footprint = { shape: 'rectangle', width_m: finished.width_m, length_m: finished.length_m } as const;
  const size = `${formatLength(finished.width_m, units.length).figure} × ${text(formatLength(finished.length_m, units.length))}`;
  const dammed = asked.kind === 'onEdge';
  return {
    words: (where) =>
      `Lays its pieces${glasses.across === glasses.up ? ` of ${glass.name}` : ''}${where?.isBegun ? '' : `, ${size}`}, ${text(formatLength(finished.depth_m, units.length))} deep.`,
    replaces: true,
    lays: true,
    into: (doc, { newId, into, isBegun }) =>
      putGlass(doc, {
        layersOn: () => panelOf(asked, told, glasses, newId),
        ...(isBegun ? {} : { holder: { footprint, dammed, deepest_m: finished.depth_m } }),
        into,
      }),
    begins: { name: `${asked.kind === 'woven' ? 'Woven panel' : 'Strips on edge'}, ${size}`, footprint, dammed },
  };
}

/** cap_m: how thick a larger cap is. */
export function putsCut({ glass }: ReckonedOf, asked: CuttingAsked, told: CuttingTold, glasses: Glasses, cap_m: number | null, units: Units): Puts | null {
  if (!glass) return null;
  switch (asked.kind) {
    case 'strips':
      return putsPieces(glass, 'strips', told.pieces[0], units);
    case 'segments':
      return asked.section ? putsPieces(glass, 'segments', told.pieces[0], units) : null;
    case 'cap':
      if (cap_m === null || asked.overhang_m > LAYER_KINDS.cap.fields.overhang_m.range.most) return null;
      return {
        words: () =>
          `Lays a cap of ${glass.name} over everything, ${text(formatStock(cap_m, units.length))} thick, ${text(formatLength(asked.overhang_m, units.length))} over all round.`,
        replaces: false,
        lays: true,
        into: (doc, { newId, into }) =>
          putGlass(doc, { layersOn: () => [capOf(newId(), glass.id, { thickness_m: cap_m, overhang_m: asked.overhang_m })], into }),
        begins: null,
      };
    case 'liner':
      return null;
    default:
      return putsPanel(glass, asked, told, glasses, units);
  }
}
