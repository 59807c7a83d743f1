/** How an amount fills, in words: as deep as this, to the rim or back from it, heaped or filled up again. */
import type { Units } from '../units/convert';
import { formatArea, formatDensity, formatLength, formatMass, formatVolume, text } from '../units/format';
import { type Filling, type FillingTold, filling } from './filling';
import { lined, surfaceAt } from './hollow';
import { type ToldQuantity, inTwo } from './told';

const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

function rimWords({ rim, natural_m, back_m, covers }: FillingTold, units: Units): string {
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const rest = `the ${long(natural_m)} at which hot glass rests`;
  switch (rim) {
    case 'full':
      return `It runs together and out to the wall all round.`;
    case 'wavers':
      return `A little less than ${rest}: it reaches the wall, and may stay back in scallops where it is colder or thinner.`;
    case 'scallops':
      return `Less than ${rest}: it draws back from the wall by about ${long(back_m)} and leaves a scalloped edge.`;
    case 'pools':
      return `Far less than ${rest}: too thin to run together. It draws into pools that cover about ${Math.round(covers * 100)} % of the floor.`;
  }
}

/** What a tenth and ten times as much would be: a slip of a digit shows. */
function slipWords(asked: Filling, mass_kg: number, units: Units): string | null {
  const at = (by: number): string | null => {
    const told = filling({ ...asked, filler: { by: 'mass', mass_kg: mass_kg * by } });
    if (!told.ok) return null;
    const mass = text(formatMass(mass_kg * by, units.mass));
    const { level_m, rim } = told.value;
    if (level_m === null) return `${mass}, would run over`;
    return `${mass}, would ${rim === 'pools' ? 'lie in pools' : `stand ${text(formatLength(level_m, units.length))} deep`}`;
  };
  const [less, more] = [at(0.1), at(10)];
  return less && more ? `A tenth of it, ${less}; ten times, ${more}.` : null;
}

export function fillingWords(asked: Filling, told: FillingTold, units: Units): ToldQuantity {
  const { mass_kg, level_m, over_kg, heap, refills, next_kg } = told;
  const long = (metres: number): string => text(formatLength(metres, units.length));
  const grams = (kg: number): string => text(formatMass(kg, units.mass));
  const { density_kg_m3 } = asked.glass;
  const hollow = lined(asked.hollow, asked.liner_m ?? 0);
  const words: string[] = [];
  const cautions: string[] = [];
  if (over_kg > 1e-6) cautions.push(`${grams(over_kg)} more than it holds: it would run over the rim.`);
  else {
    const short = grams(-over_kg);
    (told.rim === 'full' ? words : cautions).push(rimWords(told, units));
    if (-over_kg > 1e-6) words.push(`${short} more would fill it to the rim.`);
  }
  if (heap) {
    const crown =
      heap.crown_m === null
        ? ''
        : heap.crown_m > 0.0005
          ? ` After this heat its middle still stands about ${long(heap.crown_m)} over its rim.`
          : ' This heat lets it run level.';
    words.push(`As grains it heaps ${long(heap.overRim_m)} over the rim at its highest: thinner at the wall than in the middle.${crown}`);
  }
  if (refills > 0) cautions.push(`It does not all go in at once: heap it, let it sink, and fill it up again ${times(refills)}.`);
  if (next_kg !== null) words.push(`Since it stayed back last time, take ${grams(next_kg)} next time.`);
  const slip = slipWords(asked, mass_kg, units);
  const area = hollow ? surfaceAt(hollow, hollow.kind === 'straight' ? 0 : hollow.depth_m) : 0;
  const volume = text(formatVolume(mass_kg / density_kg_m3, units.length));
  const flat = hollow?.kind === 'straight';
  const made =
    asked.filler.by === 'segments'
      ? [
          `${text(formatArea(area, units.length))} × ${Math.round(asked.filler.cover * 100)} % × ${long(asked.filler.depth_m)} × ${text(formatDensity(density_kg_m3, units))} = ${grams(mass_kg)}`,
        ]
      : asked.filler.by === 'grains'
        ? [`what it holds × ${Math.round(asked.filler.packing * 100)} % × ${text(formatDensity(density_kg_m3, units))} = ${grams(mass_kg)}`]
        : [];
  return {
    figures: [
      level_m === null
        ? inTwo('runs over by', units, ({ mass }) => formatMass(over_kg, mass))
        : inTwo('stands deep', units, ({ length }) => formatLength(level_m, length)),
      next_kg === null
        ? inTwo('glass in it', units, ({ mass }) => formatMass(mass_kg, mass))
        : inTwo('next time', units, ({ mass }) => formatMass(next_kg, mass)),
    ],
    sum: [
      ...made,
      `${grams(mass_kg)} ÷ ${text(formatDensity(density_kg_m3, units))} = ${volume}${flat && level_m !== null ? `; ÷ ${text(formatArea(area, units.length))} = ${long(level_m)}` : ''}`,
    ],
    words: slip ? [...words, slip] : words,
    cautions,
    short: level_m === null ? `${grams(mass_kg)} run over` : `${grams(mass_kg)} stand ${long(level_m)} deep`,
  };
}
