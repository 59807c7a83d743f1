/** A mix, in words: what to weigh of each, in the scale's own steps, and what that is off by. */
import { footprintWords } from '../body/footprintWords';
import { type Units, massFrom, massIn } from '../units/convert';
import { type Figure, formatArea, formatCoat, formatLength, formatMass, formatVolume, text } from '../units/format';
import { footprintArea } from '../body/footprint';
import { volumeOf } from './hollow';
import type { MixAsked, MixTold } from './mix';
import { type ToldQuantity, inTwo } from './told';

/** Worth a word: further off than people weigh by eye. */
const OFF_FROM = 0.02;
const percent = (share: number): string => `${Number((share * 100).toPrecision(share < 0.1 ? 2 : 3))} %`;

/** As a scale of such steps shows it: one that steps by tenths is read in tenths. */
function onScale(kg: number, step_kg: number, { mass }: Units): Figure {
  const digits = Math.max(0, -Math.floor(Math.log10(massIn(step_kg, mass)) + 1e-9));
  return { figure: massIn(kg, mass).toFixed(digits), unit: mass };
}

/** Steps that scales have: ones, twos and fives of the studio's unit. */
function finerStep(kg: number, { mass }: Units): number {
  const value = massIn(kg, mass);
  const decade = 10 ** Math.floor(Math.log10(value) + 1e-9);
  return massFrom(([5, 2, 1].find((digit) => digit * decade <= value * (1 + 1e-9)) ?? 1) * decade, mass);
}

/** What cannot be weighed as it should, and the scale that could. */
function offWords(step_kg: number, weighed: MixTold['weighed'], units: Units): string {
  const by = ({ weighed_kg, exact_kg }: MixTold['weighed'][number]): number => (exact_kg > 0 ? Math.abs(weighed_kg / exact_kg - 1) : 0);
  const worst = weighed.reduce((most, one) => (by(one) > by(most) ? one : most));
  const least = Math.min(...weighed.flatMap(({ exact_kg }) => (exact_kg > 0 ? [exact_kg] : [])));
  const step = text(onScale(step_kg, step_kg, units));
  const is = worst.exact_kg < step_kg / 2 ? `${worst.name} is less than it can show` : `${worst.name} is off by ${percent(by(worst))}`;
  // Half a step is the most that rounding does.
  const finer = finerStep(2 * OFF_FROM * least, units);
  return `The scale steps by ${step}: ${is}. One that steps by ${text(onScale(finer, finer, units))} keeps all within ${percent(OFF_FROM)}; or weigh a larger batch.`;
}

function sumOf(asked: MixAsked, told: MixTold, units: Units): string[] {
  const grams = (kg: number): string => text(formatMass(kg, units.mass));
  switch (asked.kind) {
    case 'shares': {
      const all = asked.parts.reduce((sum, { share }) => sum + share, 0);
      return [`${asked.parts.map(({ name, share }) => `${name} ${share}`).join(' : ')}, of ${Number(all.toPrecision(6))}; ${grams(asked.total_kg)} in all`];
    }
    case 'coats':
      return [
        `${text(formatArea(asked.area_m2, units.length))} × ${asked.coats} × ${text(formatCoat(asked.perCoat_kg_m2, units))} = ${grams(asked.area_m2 * asked.coats * asked.perCoat_kg_m2)} wet; water : powder ${asked.waterToPowder} : 1 by ${asked.bulk_kg_m3 === undefined ? 'mass' : 'volume'}`,
      ];
    case 'plaster': {
      if (!told.flask) return [];
      const { outline, depth_m, volume_m3 } = told.flask;
      const volume = (m3: number): string => text(formatVolume(m3, units.length));
      return [
        `Flask ${text(formatArea(footprintArea(outline), units.length))} × ${text(formatLength(depth_m, units.length))} = ${volume(footprintArea(outline) * depth_m)}; less the model ${volume(volumeOf(asked.model))} = ${volume(volume_m3)}`,
      ];
    }
    case 'crush':
      return told.crushed ? [`${grams(told.crushed.scrap_kg)} × the share of each grade`] : [];
  }
}

const STEPS: Record<MixAsked['kind'], string[]> = {
  shares: ['Weigh the least first: it is lost most easily. Mix dry, then sieve once.'],
  coats: ['Powder into water, let it stand, stir before each coat; coats crossed, each dry to the touch before the next.'],
  plaster: [
    'Powder into water, never water onto powder; let it soak, stir without air, pour at once. The dust of silica harms the lungs for good: a respirator, and wet it first.',
  ],
  crush: ['Crush in steel with eyes and lungs covered; sieve; draw a magnet through each grade until it comes out clean; wash, let it settle, dry.'],
};

export function mixWords(asked: MixAsked, told: MixTold, units: Units): ToldQuantity {
  const { weighed, total_kg, off, flask, crushed } = told;
  const words: string[] = [];
  const cautions: string[] = [];
  if (off > OFF_FROM) cautions.push(offWords(asked.step_kg, weighed, units));
  if (flask) words.push(`The flask: ${footprintWords(flask.outline, units.length)} inside, ${text(formatLength(flask.depth_m, units.length))} high.`);
  if (crushed)
    words.push(`Of ${text(formatMass(crushed.scrap_kg, units.mass))} crushed, ${text(formatMass(crushed.lost_kg, units.mass))} go to dust, magnet and wash.`);
  words.push(...STEPS[asked.kind]);
  const first = weighed[0];
  return {
    figures: [
      inTwo(asked.kind === 'crush' ? 'to crush' : 'in all', units, ({ mass }) => formatMass(crushed?.scrap_kg ?? total_kg, mass)),
      inTwo(first.name, units, ({ mass }) => formatMass(first.weighed_kg, mass)),
    ],
    rows: weighed.map(({ name, weighed_kg, exact_kg, share }) => ({
      name,
      value: onScale(weighed_kg, asked.step_kg, units),
      note: `${percent(share)}${Math.abs(weighed_kg / exact_kg - 1) > 1e-3 ? `, exactly ${text(onScale(exact_kg, asked.step_kg / 10, units))}` : ''}`,
    })),
    sum: sumOf(asked, told, units),
    words,
    cautions,
    short: weighed.map(({ name, weighed_kg }) => `${text(onScale(weighed_kg, asked.step_kg, units))} ${name}`).join(', '),
  };
}
