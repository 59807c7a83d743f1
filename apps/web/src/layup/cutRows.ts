/** The cutting list of what a step lays: by glass and size, how many, what they weigh, which sides are ground, which face is scored. */
import { layerDepth } from '@torvin/core/body';
import { RECIPES } from '@torvin/core/look';
import { type BodyNow, type JourneyStep, type LaidLayer, type PlannedStep, acrossOf, isPlaced, namedGlasses, glassName } from '@torvin/core/piece';
import { type CutGroup, GRIND_WORDS, cutList, scoreWords } from '@torvin/core/plan';
import { type Units, formatLength, formatMass, formatStock, text } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { glassOf, madeOf } from '@/shelves/everyGlass';

export interface CutRow {
  /** On the list, on the plan that is printed. */
  number: number;
  ids: string[];
  glass: string;
  colour: string;
  /** '4 × 14 × 69 mm'. */
  pieces: string;
  /** 'from a sheet of 3 mm'. */
  from: string;
  mass: string;
  grind: string;
  score: string;
}

const shapeWord: Record<CutGroup['outline']['shape'], string> = {
  rectangle: '',
  disc: 'disc of ',
  oval: 'oval of ',
  polygon: 'by its corners, within ',
  strip: 'bent strip, within ',
  rod: '',
};

function sizeOf({ outline, width_m, length_m }: CutGroup, layer: LaidLayer, units: Units): string {
  const length = (metres: number): string => text(formatLength(metres, units.length));
  if (outline.shape === 'disc') return `${shapeWord.disc}${length(outline.diameter_m)}`;
  if ('diameter_m' in layer) return `${length(Math.max(width_m, length_m))} long`;
  return `${shapeWord[outline.shape]}${formatLength(width_m, units.length).figure} × ${length(length_m)}`;
}

/** own: which of the body's layers the step lays; rest: the steps after it. */
export function cutRows(
  body: BodyNow,
  own: { from: number; to: number },
  firing: PlannedStep | undefined,
  rest: readonly JourneyStep[],
  shelves: Shelves,
  units: Units,
): CutRow[] {
  const layers = body.layers.slice(own.from, own.to);
  const glasses = namedGlasses(shelves);
  const groups = cutList(
    body.footprint,
    layers.map((layer) => ({
      covers: !isPlaced(layer) && (!('cover' in layer) || (layer.cover ?? 1) > 1 - 1e-9) && !('perArea_kg_m2' in layer),
      ...(isPlaced(layer) ? { placed: layer.placed, across_m: acrossOf(layer) } : {}),
    })),
    {
      levels: firing !== undefined && RECIPES[firing.look].levels,
      rimIsGround: rest.some((step) => (step.kind === 'grind' && step.at === 'rim') || (step.kind === 'cut' && step.cut.to === 'outline')),
    },
  );
  return groups.map((group, i): CutRow => {
    const layer = layers[group.layer];
    const glass = glassOf(shelves, layer.glassId);
    const density = glasses.find(({ id }) => id === layer.glassId)?.constants.density_kg_m3 ?? 0;
    const mass_kg = density > 0 ? group.count * group.area_m2 * layerDepth(layer, density) * density : 0;
    const made = madeOf(shelves, layer.glassId);
    const stock = made
      ? `made glass${'thickness_m' in layer ? ` of ${text(formatStock(layer.thickness_m, units.length))}` : ''}`
      : 'thickness_m' in layer
        ? `sheet of ${text(formatStock(layer.thickness_m, units.length))}`
        : 'diameter_m' in layer
          ? `${layer.form} of ${text(formatStock(layer.diameter_m, units.length))}`
          : '';
    return {
      ...{ number: i + 1, ids: group.ids, glass: glassName(shelves, layer.glassId), colour: glass?.colour ?? '#9AA8A2' },
      ...{ pieces: `${group.count} × ${sizeOf(group, layer, units)}`, from: stock, mass: text(formatMass(mass_kg, units.mass)) },
      ...{ grind: GRIND_WORDS[group.grind], score: 'diameter_m' in layer || made ? '' : scoreWords(glass?.coated ?? false) },
    };
  });
}
