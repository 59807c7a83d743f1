/** Grains on an area, in words: the look to expect and from what mass on, and what a slip of ten would be. */
import type { Units } from '../units/convert';
import { formatArea, formatDensity, formatLength, formatMass, formatStrewn, text } from '../units/format';
import type { StrewnAsked, StrewnLook, StrewnTold } from './strewn';
import { type ToldQuantity, inTwo } from './told';

const long = (metres: number, { length }: Units): string => text(formatLength(metres, length));

/** 'Lace, holes of about 4 mm'. */
export function lookWords({ as, bare, hole_m, film_m }: StrewnLook, units: Units): string {
  const percent = Math.round((1 - bare) * 100);
  switch (as) {
    case 'dots':
      return 'Single dots';
    case 'islands':
      return `Islands, ${percent} % covered`;
    case 'lace':
      return `Lace, holes of about ${long(hole_m, units)}`;
    case 'film':
      return 'A closed film, but for pinholes';
    case 'level':
      return `Level glass, ${long(film_m, units)} deep`;
  }
}

const lower = (words: string): string => words[0].toLowerCase() + words.slice(1);

export function strewnWords(asked: StrewnAsked, told: StrewnTold, units: Units): ToldQuantity {
  const { area_m2, mass_kg, perArea_kg_m2, look, perCoat_kg, disc_m, cracks } = told;
  const { coats = 1, open = 1, work_perPa } = asked;
  const grams = (kg: number): string => text(formatMass(kg, units.mass));
  const strewn = (kg_m2: number): string => text(formatStrewn(kg_m2, units));
  const area = text(formatArea(area_m2, units.length));
  const density = text(formatDensity(asked.glass.density_kg_m3, units));
  const when = work_perPa === undefined ? 'as it lies cold' : 'after this firing';
  const words = [
    `${lookWords(look, units)}, ${when}. This grain holds together from ${strewn(told.lacesFrom_kg_m2)}, closes to a film from ${strewn(told.closesFrom_kg_m2)} and runs level from ${strewn(told.levelsFrom_kg_m2)}.`,
    `A tenth of it, ${grams(mass_kg / 10)}: ${lower(lookWords(told.tenth, units))}. Ten times, ${grams(mass_kg * 10)}: ${lower(lookWords(told.tenfold, units))}.`,
    ...(coats > 1 ? [`In ${coats} coats: ${grams(perCoat_kg)} each.`] : []),
    `All of it in one heap runs to a disc of ${long(disc_m, units)}.`,
    ...(cracks
      ? [`Wet on paper it parts like drying mud, into plates of about ${long(cracks.plate_m, units)} with lines of ${long(cracks.gap_m, units)} between.`]
      : []),
  ];
  const over = open < 1 ? `${area} (the open ${Math.round(open * 100)} %)` : area;
  return {
    figures: [
      asked.amount.by === 'mass'
        ? inTwo('per area', units, (in_) => formatStrewn(perArea_kg_m2, in_))
        : inTwo('to weigh', units, ({ mass }) => formatMass(mass_kg, mass)),
      inTwo('film when level', units, ({ length }) => formatLength(look.film_m, length)),
    ],
    sum: [
      asked.amount.by === 'mass' ? `${grams(mass_kg)} ÷ ${over} = ${strewn(perArea_kg_m2)}` : `${strewn(perArea_kg_m2)} × ${over} = ${grams(mass_kg)}`,
      `${strewn(perArea_kg_m2)} ÷ ${density} = ${long(look.film_m, units)}`,
    ],
    words,
    cautions: [],
    short: `${grams(mass_kg)} on ${area}: ${lower(lookWords(look, units))}`,
  };
}
