/** How much glass, in words: the sum as it would stand on paper, what it is in sheets and billets, whether it goes in cold. */
import { footprintArea } from '../body/footprint';
import type { Units } from '../units/convert';
import { formatArea, formatDensity, formatLength, formatMass, formatVolume, text } from '../units/format';
import { type Hollow, lined } from './hollow';
import type { Cavity, HowMuch, HowMuchTold } from './howMuch';
import { WATER_kg_m3 } from '../units/physical';
import { toTake } from './stock';
import { type ToldQuantity, inTwo, product } from './told';

function prismSum({ outline, depth_m }: Extract<Hollow, { kind: 'straight' }>, units: Units): string {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  switch (outline.shape) {
    case 'rectangle':
      return product(long(outline.width_m), long(outline.length_m), long(depth_m));
    case 'disc':
      return product('π/4', `(${long(outline.diameter_m)})²`, long(depth_m));
    case 'oval':
      return product('π/4', long(outline.width_m), long(outline.length_m), long(depth_m));
    case 'ring':
      return product('π/4', `((${long(outline.diameter_m)})² − (${long(outline.inner_m)})²)`, long(depth_m));
    case 'polygon':
      return product(text(formatArea(footprintArea(outline), units.length)), long(depth_m));
  }
}

/** The volume of a hollow to its rim, or to a depth, as a product. */
export function hollowSum(hollow: Hollow, units: Units): string {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const squared = (metres: number): string => `(${long(metres)})²`;
  switch (hollow.kind) {
    case 'straight':
      return prismSum(hollow, units);
    case 'vTrough':
      return product('½', long(hollow.width_m), long(hollow.length_m), long(hollow.depth_m));
    case 'roundTrough':
      return product('the part of a circle', `${long(hollow.width_m)} wide and ${long(hollow.depth_m)} deep`, long(hollow.length_m));
    case 'cone':
      return product('π/12', long(hollow.depth_m), `(${squared(hollow.rim_m)} + ${long(hollow.rim_m)} × ${long(hollow.floor_m)} + ${squared(hollow.floor_m)})`);
    case 'bowl':
      return `the part of a ball ${long(hollow.rim_m)} across the rim, ${long(hollow.floor_m)} across the floor, ${long(hollow.depth_m)} deep`;
  }
}

/** What of a hollow is filled, as a hollow of its own. */
function filledPart(hollow: Hollow, depth_m: number | null): Hollow | null {
  if (depth_m === null || Math.abs(depth_m / hollow.depth_m - 1) < 1e-9) return hollow;
  return hollow.kind === 'straight' ? { ...hollow, depth_m } : null;
}

function cavitySum(cavity: Cavity, { volume_m3, depth_m }: HowMuchTold['cavities'][number], units: Units): string {
  const grams = (kg: number): string => text(formatMass(kg, units.mass));
  const each = text(formatVolume(volume_m3 / cavity.count, units.length));
  const all = cavity.count === 1 ? each : `${each}; × ${cavity.count} = ${text(formatVolume(volume_m3, units.length))}`;
  switch (cavity.by) {
    case 'size': {
      const left = lined(cavity.hollow, cavity.liner_m ?? 0);
      const part = left && filledPart(left, depth_m);
      const within = cavity.liner_m ? `Within the liner: ` : '';
      if (part) return `${within}${hollowSum(part, units)} = ${all}`;
      return `${within}filled ${text(formatLength(depth_m ?? 0, units.length))} deep: ${all}`;
    }
    case 'water': {
      const drunk = cavity.drunk_kg ? `(${grams(cavity.poured_kg)} − ${grams(cavity.drunk_kg)})` : grams(cavity.poured_kg);
      return `Water: ${drunk} ÷ ${text(formatDensity(WATER_kg_m3, units))} = ${all}`;
    }
    case 'model':
      return `Model: ${grams(cavity.model_kg)} ÷ ${text(formatDensity(cavity.density_kg_m3, units))} = ${all}`;
  }
}

/** 'a tenth', 'half', '1.7': so many of something, as people count. */
const some = (count: number): string => (count < 10 ? String(Number(count.toPrecision(2))) : String(Math.round(count)));

function stockWords({ stock }: HowMuchTold, { stock: has }: HowMuch, units: Units): string[] {
  const words: string[] = [];
  const long = (metres: number): string => text(formatLength(metres, units.length));
  if (stock.sheets !== null && has?.sheet)
    words.push(`${some(stock.sheets)} sheets of ${long(has.sheet.width_m)} × ${long(has.sheet.length_m)}, ${long(has.sheet.depth_m)} thick`);
  if (stock.billets !== null) words.push(`${toTake(stock.billets)} billets (${some(stock.billets)})`);
  if (stock.jars !== null && has?.jar_kg !== undefined) words.push(`${some(stock.jars)} jars of ${text(formatMass(has.jar_kg, units.mass))}`);
  const sentence = words.length > 0 ? [`That is ${words.join(', or ')}.`] : [];
  if (stock.scrapShort_kg !== null) {
    const left = text(formatMass(Math.abs(stock.scrapShort_kg), units.mass));
    sentence.push(
      stock.scrapShort_kg > 0 ? `The scrap that lies there falls short of it by ${left}.` : `The scrap that lies there is enough, with ${left} left.`,
    );
  }
  return sentence;
}

function coldWords({ cold }: HowMuchTold, units: Units): string[] {
  if (!cold) return [];
  const count = cold.courses.reduce((sum, course) => sum + course.count, 0);
  const over = text(formatLength(Math.abs(cold.overRim_m), units.length));
  const lie = `${count} billets lie flat in ${cold.courses.length === 1 ? 'one course' : `${cold.courses.length} courses`}`;
  return [
    cold.overRim_m > 0
      ? `${lie} and stand ${over} over the rim: they need a reservoir or a dam on top that is higher than that.`
      : `${lie}, ${over} below the rim: they go in cold.`,
  ];
}

function stackWords({ stack }: HowMuchTold, units: Units): string[] {
  if (!stack) return [];
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const over = stack.overRim_m > 0 ? `${long(stack.overRim_m)} over the rim` : `${long(-stack.overRim_m)} below the rim`;
  return [
    `A stack that fills it: ${stack.count} strips of ${long(stack.strip.width_m)} × ${long(stack.strip.length_m)}, ${long(stack.sides_m)} free at each side of the rim and ${long(stack.ends_m)} at each end. It stands up to ${over}.`,
  ];
}

export function howMuchWords(asked: HowMuch, told: HowMuchTold, units: Units): ToldQuantity {
  const { total_kg, volume_m3, filled } = told;
  const body_kg = volume_m3 * asked.density_kg_m3;
  const grams = (kg: number): string => text(formatMass(kg, units.mass));
  const density = text(formatDensity(asked.density_kg_m3, units));
  const last = asked.stays_kg
    ? [`${text(formatVolume(volume_m3, units.length))} × ${density} = ${grams(body_kg)}; + ${grams(asked.stays_kg)} that stay = ${grams(total_kg)}`]
    : [`${text(formatVolume(volume_m3, units.length))} × ${density} = ${grams(total_kg)}`];
  const deep = filled?.level_m ?? null;
  const cautions: string[] = [];
  const words: string[] = [];
  if (filled) {
    const missing = grams(Math.abs(filled.missing_kg));
    if (filled.missing_kg > 1e-6)
      words.push(deep === null ? `It is ${missing} short.` : `It stands ${text(formatLength(deep, units.length))} deep, ${missing} short of full.`);
    else if (filled.missing_kg < -1e-6) cautions.push(`It is ${missing} more than goes in: it would run over.`);
    else words.push('It fills it, no more.');
  }
  if (asked.cavities.some((cavity) => cavity.by === 'water' && cavity.drunk_kg === undefined))
    words.push('A dry porous mould drinks some of the water: weigh it before and after and tell what it drank, or soak it first.');
  return {
    figures: [
      inTwo('glass to weigh', units, ({ mass }) => formatMass(total_kg, mass)),
      deep === null
        ? inTwo('it fills', units, ({ length }) => formatVolume(volume_m3, length))
        : inTwo('stands deep', units, ({ length }) => formatLength(deep, length)),
    ],
    sum: [...asked.cavities.map((cavity, i) => cavitySum(cavity, told.cavities[i], units)), ...last],
    words: [...words, ...stockWords(told, asked, units), ...coldWords(told, units), ...stackWords(told, units)],
    cautions,
    short: `${grams(total_kg)} fill ${asked.cavities.length === 1 && asked.cavities[0].count === 1 ? 'it' : `all ${asked.cavities.reduce((sum, { count }) => sum + count, 0)}`}`,
  };
}
