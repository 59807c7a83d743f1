/** What a form of the shelf comes to, for glass of one kind: what it holds, the blank for it, its weight; and how a plate's letters read. */
import type { GlassConstants } from '../glass/constants';
import { materialOf } from '../form/materials';
import { wayDown } from '../form/overPoints';
import { formMass, hollowOf, insideOf, type FormShape, wayOfSide } from '../form/shape';
import type { Units } from '../units/convert';
import { type Figure, formatLength, formatMass, formatStock, formatTemperature, formatVolume, text } from '../units/format';
import { type BlankAsked, blank } from './blank';

/** A skirt ends so far over the shelf, where nobody says how far down it is to come, m. */
const CLEAR_M = 0.005;

/** The blank for a form as wide as it can be: to the rim of a hollow, or down a former until it is all but on the shelf; null where it takes none. */
export function blankFor(form: FormShape, glass: GlassConstants, thickness_m: number): BlankAsked | null {
  const { use, deep_m, across_m, floor_m, along_m, plan, lobes, points_m } = form;
  if (use === 'hollow') return { way: 'into', glass, thickness_m, under_m: 0, form: hollowOf(form) };
  if (use !== 'former') return null;
  const wall_m = wayOfSide(form);
  const hang_m = points_m ? wayDown(points_m, CLEAR_M) - across_m / 2 : ((deep_m - CLEAR_M) * wall_m) / deep_m;
  if (hang_m <= 0) return null;
  return {
    ...{ way: 'over', glass, thickness_m, hang_m },
    form: {
      ...(points_m ? { points_m: points_m.map(({ out_m, up_m }) => ({ out_m, up_m: up_m - points_m[points_m.length - 1].up_m })) } : {}),
      ...{ plan, depth_m: deep_m, wall_m, across: { rim_m: across_m, ...(floor_m === undefined ? {} : { floor_m }) } },
      ...(plan === 'round' ? {} : { along: { rim_m: along_m ?? across_m } }),
      ...(lobes === undefined ? {} : { lobes }),
    },
  };
}

export interface FormFigure {
  label: string;
  value: Figure;
  note?: string;
}

export function formFigures(form: FormShape, glass: GlassConstants, thickness_m: number, units: Units): FormFigure[] {
  const figures: FormFigure[] = [];
  const inside = form.use === 'hollow' || form.use === 'dam' || form.use === 'cavity' ? insideOf(form) : null;
  if (inside?.ok) {
    const m3 = inside.value.heldTo(Infinity);
    figures.push({
      label: 'holds, to its rim',
      value: formatVolume(m3, units.length),
      note: `${text(formatMass(m3 * glass.density_kg_m3, units.mass))} of glass`,
    });
  }
  const asked = blankFor(form, glass, thickness_m);
  const cut = asked && blank(asked);
  if (cut?.ok) {
    const [first] = cut.value.sizes_m;
    const isLess = cut.value.summed_m.some((size, i) => size > cut.value.sizes_m[i] + 1e-9);
    figures.push({
      label: form.use !== 'hollow' ? 'largest blank' : isLess ? 'largest blank that slides in' : 'blank that ends at its rim',
      value: { figure: cut.value.sizes_m.map((size) => formatLength(size, units.length).figure).join(' × '), unit: formatLength(first, units.length).unit },
      note: `of ${text(formatStock(thickness_m, units.length))}`,
    });
  }
  figures.push({ label: 'weighs about', value: formatMass(formMass(form), units.mass), note: form.use === 'cavity' ? 'as a block' : 'by its wall' });
  return figures;
}

/** What to know of what a form is of, as a sentence; null where there is nothing. */
export function materialWords(form: FormShape, units: Units): string | null {
  const { name, scales_C, sags_C, note } = materialOf(form);
  const about = (celsius: number): string => `about ${text(formatTemperature(celsius, units.temperature))}`;
  const said = [
    ...(scales_C === undefined ? [] : [`scales from ${about(scales_C)}, and its flakes stick to glass`]),
    ...(sags_C === undefined ? [] : [`thin sheet and grids sag above ${about(sags_C)}`]),
    ...(note === undefined ? [] : [note]),
  ];
  return said.length > 0 ? `${name}: ${said.join('; ')}.` : null;
}

/**
 * How a plate prints: what stands up on it lies deep in the glass, and the glass carries its pattern on its underside, turned over left to
 * right. Looked at through its upper face it is seen as it is on the plate.
 */
export function printWords({ relief = 'raised', lettering = 'none' }: { relief?: 'raised' | 'sunk'; lettering?: 'none' | 'plain' | 'mirrored' }): string {
  const stands = relief === 'raised' ? 'What stands up on the plate lies deep in the glass' : 'What lies deep in the plate stands up on the glass';
  if (lettering === 'none') return `${stands}, on its underside.`;
  const through = lettering === 'plain' ? 'as written' : 'mirrored';
  const over = lettering === 'plain' ? 'mirrored' : 'as written';
  return `${stands}, on its underside. Letters read ${through} through the glass from above, and ${over} on the face that was printed.`;
}
