/** Lays a part on the plan: its form, its sizes, the glass it is cut from; it is moved and turned once it lies there. */
import { type BodyNow, type LaidLayer, type LayStep, ROD_RANGE_M, type Stuff, comesAs, laidLayers, partsIn, placeParts } from '@torvin/core/piece';
import { type PartOutline, type PlacedPart, boxRound, centred } from '@torvin/core/plan';
import { type Outcome, refused } from '@torvin/core/problem';
import { formatStock, text } from '@torvin/core/units';
import { PART_RANGE_M, PartOutlineSchema } from '@torvin/core/contract';
import type { Shelves } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { GlassChoice } from '@/shelves/GlassChoice';
import { everyGlass, glassOf } from '@/shelves/everyGlass';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { readCorners } from './corners';
import { withinOf } from './planned';
import { readLength } from './typed';
import type { Layup } from './useLayup';
import { ADD_PART } from './words';
import { WORDS } from '@/ui/said';

const SHAPES = ['rectangle', 'disc', 'oval', 'polygon', 'strip', 'rod', 'stringer'] as const;
type Shape = (typeof SHAPES)[number];
const TITLES: Record<Shape, string> = {
  rectangle: ADD_PART.rectangle,
  disc: WORDS.disc,
  oval: WORDS.oval,
  polygon: WORDS.corners,
  strip: ADD_PART.bentStrip,
  rod: ADD_PART.rod,
  stringer: ADD_PART.stringer,
};

export interface AddPartProps {
  layup: Layup;
  pieceId: string;
  /** The step it is laid in; the first one where left out. */
  step: LayStep | undefined;
  body: BodyNow;
  shelves: Shelves;
  onAdded(id: string): void;
}

interface Entry {
  shape: Shape;
  width: string;
  length: string;
  points: string;
  across: string;
}

const USUAL = { mm: { width: '20 mm', length: '60 mm', across: '2 mm' }, in: { width: '3/4 in', length: '2 1/2 in', across: '1/16 in' } } as const;

const GAP_M = 0.006;

export const AddPart = inFormUnits(PartForm);

function PartForm({ layup, pieceId, step, body, shelves, onAdded }: AddPartProps) {
  const { length: unit } = useUnits();
  const [entry, setEntry] = useState<Entry>({ shape: 'rectangle', points: '', ...USUAL[unit] });
  const [glassId, setGlass] = useState<string | null>(null);
  const [chosen_m, setThickness] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { shape } = entry;
  const form: Stuff['form'] = shape === 'rod' || shape === 'stringer' ? shape : 'pieces';
  const usable = everyGlass(shelves).filter((glass) => comesAs(glass, form) && !shelves.archived.includes(glass.id));
  const last = step?.layers.at(-1) ?? laidLayers(layup.doc).at(-1);
  const family = glassOf(shelves, last?.glassId)?.familyId;
  const glass =
    usable.find(({ id }) => id === glassId) ?? usable.find(({ id }) => id === last?.glassId) ?? usable.find(({ familyId }) => familyId === family) ?? usable[0];
  const sizes_m = glass?.thicknesses_m ?? [];
  const thickness_m = chosen_m !== null && sizes_m.includes(chosen_m) ? chosen_m : (sizes_m.find((size) => size === depthOf(last)) ?? sizes_m[0] ?? 0.003);
  const set = (part: Partial<Entry>): void => {
    setProblem(null);
    setEntry({ ...entry, ...part });
  };

  const lay = (): void => {
    const outline = outlineOf(entry, unit);
    if (!outline.ok) return setProblem(outline.problem.message);
    const across = form === 'pieces' ? null : readLength(entry.across, ADD_PART.theRod, ROD_RANGE_M, unit);
    if (across && !across.ok) return setProblem(across.problem.message);
    const stuff: Stuff =
      form === 'pieces' ? { form, glassId: glass?.id ?? '', thickness_m } : { form, glassId: glass?.id ?? '', diameter_m: across?.ok ? across.value : 0.002 };
    const part: PlacedPart = { id: uuid(), outline: centred(outline.value).outline, x_m: 0, y_m: 0, turned_deg: 0 };
    const [x_m, y_m] = freePlace(part, step, body);
    const laid = placeParts(layup.doc, step?.id, stuff, [{ ...part, x_m, y_m }], uuid());
    layup.edit(laid);
    if (laid.ok) onAdded(part.id);
  };

  return (
    <View style={{ gap: space.small, paddingVertical: space.small }} testID="add-part-panel">
      <Choice
        label={ADD_PART.aPart}
        value={shape}
        options={SHAPES.map((value) => ({ value, title: TITLES[value] }))}
        onChange={(next) => set({ shape: next })}
        testID="part-shape"
      />
      {(shape === 'rectangle' || shape === 'oval' || shape === 'strip') && (
        <Field label={ADD_PART.wide} value={entry.width} onChange={(width) => set({ width })} testID="part-new-width" />
      )}
      {shape === 'disc' && <Field label={ADD_PART.across} value={entry.width} onChange={(width) => set({ width })} testID="part-new-width" />}
      {(shape === 'rectangle' || shape === 'oval') && (
        <Field label={ADD_PART.long} value={entry.length} onChange={(length) => set({ length })} testID="part-new-length" />
      )}
      {(shape === 'rod' || shape === 'stringer') && (
        <>
          <Field label={WORDS.thick} value={entry.across} onChange={(across) => set({ across })} testID="part-new-across" />
          <Field label={ADD_PART.long} value={entry.length} onChange={(length) => set({ length })} hint={ADD_PART.straightTellBends} testID="part-new-length" />
        </>
      )}
      {(shape === 'polygon' || shape === 'strip' || shape === 'rod' || shape === 'stringer') && (
        <Field
          label={shape === 'polygon' ? WORDS.corners : shape === 'strip' ? ADD_PART.along : ADD_PART.alongWhereBends}
          value={entry.points}
          hint={shape === 'polygon' ? ADD_PART.rightBackEach : ADD_PART.pointsMiddleLine}
          onChange={(points) => set({ points })}
          testID="part-new-points"
        />
      )}
      {form === 'pieces' && sizes_m.length > 1 && (
        <Choice
          label={ADD_PART.cutSheet}
          value={String(thickness_m)}
          options={sizes_m.map((size) => ({ value: String(size), title: text(formatStock(size, unit)) }))}
          onChange={(size) => setThickness(Number(size))}
          testID="part-new-thickness"
        />
      )}
      <GlassChoice shelves={shelves} pieceId={pieceId} form={form} value={glass?.id ?? ''} onChange={({ id }) => setGlass(id)} />
      {problem && (
        <Notice tone="warn" testID="part-problem">
          {problem}
        </Notice>
      )}
      <Action title={ADD_PART.layIt} label={ADD_PART.layPlan} disabled={!glass} testID="part-lay" onPress={lay} />
    </View>
  );
}

const depthOf = (layer: LaidLayer | undefined): number | null => (layer && 'thickness_m' in layer ? layer.thickness_m : null);

/** What was typed as an outline, or what is wrong with it. */
function outlineOf({ shape, width, length, points }: Entry, unit: 'mm' | 'in'): Outcome<PartOutline> {
  const side = (typed: string, name: string): Outcome<number> => readLength(typed, name, PART_RANGE_M, unit);
  const along = (least: number, example: string): Outcome<[number, number][]> => {
    const read = readCorners(points, unit, least);
    return read ? { ok: true, value: read } : refused('unreadable', '', ADD_PART.notPointsWrite(points.trim(), example));
  };
  const checked = (outline: PartOutline): Outcome<PartOutline> => {
    const parsed = PartOutlineSchema.safeParse(outline);
    return parsed.success ? { ok: true, value: outline } : refused('out-of-range', '', parsed.error.issues[0].message);
  };
  switch (shape) {
    case 'rectangle':
    case 'oval': {
      const [wide, long] = [side(width, WORDS.theWidth), side(length, WORDS.theLength)];
      return !wide.ok ? wide : !long.ok ? long : { ok: true, value: { shape, width_m: wide.value, length_m: long.value } };
    }
    case 'disc': {
      const wide = side(width, ADD_PART.theDisc);
      return wide.ok ? { ok: true, value: { shape, diameter_m: wide.value } } : wide;
    }
    case 'polygon': {
      const corners = along(3, '0 0; 30 0; 15 40');
      return corners.ok ? checked({ shape, corners_m: corners.value }) : corners;
    }
    case 'strip': {
      const [wide, line] = [side(width, WORDS.theWidth), along(2, '0 0; 40 12; 90 0')];
      return !wide.ok ? wide : !line.ok ? line : checked({ shape, width_m: wide.value, along_m: line.value });
    }
    default: {
      if (points.trim() !== '') {
        const line = along(2, '0 0; 40 12; 90 0');
        return line.ok ? checked({ shape: 'rod', along_m: line.value }) : line;
      }
      const long = side(length, WORDS.theLength);
      return long.ok ? { ok: true, value: { shape: 'rod', along_m: [[-long.value / 2, 0] as const, [long.value / 2, 0] as const] } } : long;
    }
  }
}

/** In the middle; where others lie already, to the right of them as long as there is room. */
function freePlace(part: PlacedPart, step: LayStep | undefined, body: BodyNow): [number, number] {
  const others = step ? partsIn(step) : [];
  if (others.length === 0) return [0, 0];
  const lying = boxRound(others, (one) => ('across_m' in one ? Number(one.across_m) : 0));
  const own = boxRound([part]);
  const x_m = lying.right + GAP_M - own.left;
  return x_m + own.right < withinOf(body).right ? [x_m, (lying.front + lying.back) / 2] : [0, 0];
}
