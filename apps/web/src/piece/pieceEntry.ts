/** The piece form as typed: strings, read by the same parser everywhere, turned into a document when they hold. */
import { type Footprint, type GlassConstants, type Outcome, TYPICAL_FAMILIES, formatLength, parseLength, text } from '@torvin/core';
import { DEEPEST_BODY_M, LAYERS_AT_MOST, type Layer, type Piece, SHEET_RANGE_M, SIZE_RANGE_M, type Shelves } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import type { DrawnLayer } from '@/section/SectionDrawing';

export interface LayerEntry {
  id: string;
  glassId: string;
  thickness: string;
}

export interface PieceEntry {
  name: string;
  shape: 'rectangle' | 'disc';
  width: string;
  length: string;
  diameter: string;
  familyId: string;
  /** Index 0 at the bottom. */
  layers: LayerEntry[];
}

const mm = (metres: number): string => text(formatLength(metres, 'mm'));

/** A length within a range, with one sentence for whatever is wrong. */
export function lengthWithin(typed: string, name: string, least_m: number, most_m: number): Outcome<number> {
  const length = parseLength(typed, 'mm');
  if (!length.ok) return length;
  if (length.value >= least_m - 1e-9 && length.value <= most_m + 1e-9) return length;
  return {
    ok: false,
    problem: { code: 'out-of-range', path: '', message: `${name} is ${mm(length.value)}; it must be from ${mm(least_m)} to ${mm(most_m)}.` },
  };
}

const sizeOf = (typed: string, name: string) => lengthWithin(typed, name, SIZE_RANGE_M.least, SIZE_RANGE_M.most);
const sheetOf = (typed: string) => lengthWithin(typed, 'The sheet', SHEET_RANGE_M.least, SHEET_RANGE_M.most);

const entryShape = z.object({
  name: z.string(),
  shape: z.enum(['rectangle', 'disc']),
  width: z.string(),
  length: z.string(),
  diameter: z.string(),
  familyId: z.string(),
  layers: z.array(z.object({ id: z.string(), glassId: z.string(), thickness: z.string() })),
});

/** Reads an entry into a document's parts; every issue stands at its field. */
export const pieceEntrySchema = entryShape.transform((entry, context) => {
  const fail = (path: (string | number)[], message: string): typeof z.NEVER => {
    context.addIssue({ code: 'custom', path, message });
    return z.NEVER;
  };
  const name = entry.name.trim();
  if (name === '' || name.length > 80) fail(['name'], name === '' ? 'Give the piece a name.' : 'A name has at most 80 characters.');
  const read = (field: 'width' | 'length' | 'diameter', label: string): number => {
    const size = sizeOf(entry[field], label);
    return size.ok ? size.value : fail([field], size.problem.message);
  };
  const footprint: Footprint =
    entry.shape === 'disc'
      ? { shape: 'disc', diameter_m: read('diameter', 'The diameter') }
      : { shape: 'rectangle', width_m: read('width', 'The width'), length_m: read('length', 'The length') };
  const typed: Record<string, string> = entry.shape === 'disc' ? { diameter: entry.diameter } : { width: entry.width, length: entry.length };
  const layers: Layer[] = entry.layers.map(({ id, glassId, thickness }, index) => {
    const sheet = sheetOf(thickness);
    return { id, glassId, thickness_m: sheet.ok ? sheet.value : fail(['layers', index, 'thickness'], sheet.problem.message) };
  });
  if (layers.length < 1 || layers.length > LAYERS_AT_MOST) fail(['layers'], `A piece has one to ${LAYERS_AT_MOST} sheets.`);
  const depth = layers.reduce((sum, layer) => sum + layer.thickness_m, 0);
  if (depth > DEEPEST_BODY_M + 1e-9) fail(['layers'], `The sheets together are ${mm(depth)} deep; at most ${mm(DEEPEST_BODY_M)} can be fused from sheets.`);
  return { name, footprint, typed, layers };
});

/** What of an unfinished entry can already be drawn and weighed. */
export function drawable(entry: PieceEntry, shelves: Shelves): { footprint: Footprint | null; layers: DrawnLayer[]; family: GlassConstants } {
  const size = (typed: string): number | null => {
    const length = sizeOf(typed, '');
    return length.ok ? length.value : null;
  };
  const width_m = size(entry.width);
  const length_m = size(entry.length);
  const diameter_m = size(entry.diameter);
  const footprint: Footprint | null =
    entry.shape === 'disc'
      ? diameter_m === null
        ? null
        : { shape: 'disc', diameter_m }
      : width_m === null || length_m === null
        ? null
        : { shape: 'rectangle', width_m, length_m };
  const layers = entry.layers.flatMap(({ glassId, thickness }): DrawnLayer[] => {
    const sheet = sheetOf(thickness);
    const glass = shelves.glasses.find(({ id }) => id === glassId);
    return sheet.ok && glass ? [{ name: glass.name, colour: glass.colour, thickness_m: sheet.value }] : [];
  });
  return { footprint, layers, family: shelves.families.find(({ id }) => id === entry.familyId) ?? TYPICAL_FAMILIES[0] };
}

export function newEntry(shelves: Shelves): PieceEntry {
  const glass = shelves.glasses.find(({ familyId }) => familyId === 'soft-90') ?? shelves.glasses[0];
  const layer = (): LayerEntry => ({ id: uuid(), glassId: glass.id, thickness: '3 mm' });
  return { name: '', shape: 'rectangle', width: '', length: '', diameter: '', familyId: glass.familyId, layers: [layer(), layer()] };
}

export function entryOf({ name, doc }: Piece, shelves: Shelves): PieceEntry {
  const first = shelves.glasses.find(({ id }) => id === doc.layers[0].glassId);
  const { footprint, typed } = doc;
  return {
    name,
    shape: footprint.shape,
    width: typed.width ?? (footprint.shape === 'rectangle' ? mm(footprint.width_m) : ''),
    length: typed.length ?? (footprint.shape === 'rectangle' ? mm(footprint.length_m) : ''),
    diameter: typed.diameter ?? (footprint.shape === 'disc' ? mm(footprint.diameter_m) : ''),
    familyId: first?.familyId ?? shelves.families[0].id,
    layers: doc.layers.map(({ id, glassId, thickness_m }) => ({ id, glassId, thickness: mm(thickness_m) })),
  };
}

type EntryField = 'name' | 'width' | 'length' | 'diameter' | 'layers' | 'root';

/** Which field a server's problem belongs to. */
export function fieldOfPath(path: string): EntryField {
  if (path.startsWith('name')) return 'name';
  const size = /footprint\.(width|length|diameter)_m$/.exec(path);
  if (size) return size[1] as EntryField;
  return path.startsWith('doc.layers') ? 'layers' : 'root';
}
