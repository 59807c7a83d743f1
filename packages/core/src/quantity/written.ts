/** What people write at a bench, read as everything that it can mean: '1450 F', '3/8 in', '2 lb 3 oz', '0.3 g/cm2', '90e-7', 'cone 06', or a bare 90. */
import { type Outcome, found, refused } from '../problem';
import type { Units } from '../units/convert';
import {
  parseArea,
  parseDensity,
  parseDuration,
  parseExpansion,
  parseLength,
  parseMass,
  parseRate,
  parseStrewn,
  parseTemperature,
  parseVolume,
  unitsWritten,
} from '../units/parse';
import { CONES, type Cone } from '../emptyFiring/cones';

export const WRITTEN_AS = ['temperature', 'rate', 'length', 'area', 'volume', 'mass', 'perArea', 'density', 'time', 'expansion'] as const;
export type WrittenAs = (typeof WRITTEN_AS)[number];

const SI_UNITS: Record<WrittenAs, string> = {
  ...{ temperature: '°C', rate: '°C/h', length: 'm', area: 'm²', volume: 'm³' },
  ...{ mass: 'kg', perArea: 'kg/m²', density: 'kg/m³', time: 's', expansion: '1/K' },
};

/** unit: of the value. units: that it was read in. */
export type Reading = { as: WrittenAs; value: number; unit: string; units: Units } | { as: 'cone'; cone: Cone };
const reading = (as: WrittenAs, value: number, units: Units): Reading => ({ as, value, unit: SI_UNITS[as], units });

export interface WrittenAsked {
  text: string;
  /** What the studio's own bare numbers are in: those readings come first. */
  units: Units;
}

const CONE = /^(?:cone|cn\.?|c\/|Δ|\^)\s*(\d{1,3})$/i;
const BARE = /^\s*[-−]?[\d\s.,/½¼¾⅛⅜⅝⅞-]+$/;
/** A bare number from here to there may be an expansion: in 10⁻⁷, or in 10⁻⁶. */
const EXPANSIONS = [
  { least: 25, most: 160 },
  { least: 2.5, most: 16 },
] as const;

const valueIn = (outcome: Outcome<number | null>): number[] => (outcome.ok && outcome.value !== null && Number.isFinite(outcome.value) ? [outcome.value] : []);

/** With a unit there is one meaning, or two where a letter stands for two ('5 m'). */
function withUnit(text: string, units: Units): Reading[] {
  const as = (kind: WrittenAs, outcome: Outcome<number | null>): Reading[] => valueIn(outcome).map((value) => reading(kind, value, unitsWritten(text, units)));
  const isScientific = /\de\s*[-−]|10\s*\^|10\s*⁻/i.test(text);
  if (isScientific) return as('expansion', parseExpansion(text));
  const isPer = /\/|\bper\b|\ban? h/i.test(text.replace(/\d\s*\/\s*\d/g, ''));
  const strewn = parseStrewn(text, 'mass', units);
  if (isPer)
    return [
      ...as('rate', parseRate(text, units.temperature)),
      ...(strewn.ok && 'perArea_kg_m2' in strewn.value ? as('perArea', found(strewn.value.perArea_kg_m2)) : []),
      ...as('density', parseDensity(text, units)),
      ...as('expansion', parseExpansion(text)),
    ];
  return [
    ...as('temperature', parseTemperature(text, units.temperature)),
    ...as('length', parseLength(text, units.length)),
    ...as('area', parseArea(text)),
    ...as('volume', parseVolume(text)),
    ...as('mass', parseMass(text, units.mass)),
    ...as('time', parseDuration(text)),
  ];
}

/** Without one it may be any: the studio's own units first, then the other ones. */
function bare(text: string, units: Units): Reading[] {
  const [own, other]: Units[] = [
    units,
    { temperature: units.temperature === 'C' ? 'F' : 'C', length: units.length === 'mm' ? 'in' : 'mm', mass: units.mass === 'g' ? 'oz' : 'g' },
  ];
  const both = (as: WrittenAs, parse: (in_: Units) => Outcome<number | null>): Reading[] =>
    [own, other].flatMap((in_) => valueIn(parse(in_)).map((value) => reading(as, value, in_)));
  const [number] = valueIn(parseLength(text, 'mm')).map((metres) => metres * 1e3);
  const mayExpand = number !== undefined && EXPANSIONS.some(({ least, most }) => number >= least && number <= most);
  return [
    ...both('temperature', (in_) => parseTemperature(text, in_.temperature)),
    ...both('length', (in_) => parseLength(text, in_.length)),
    ...both('mass', (in_) => parseMass(text, in_.mass)),
    ...both('rate', (in_) => parseRate(text, in_.temperature)),
    ...(mayExpand ? valueIn(parseExpansion(text)).map((value) => reading('expansion', value, units)) : []),
    ...valueIn(parseDuration(text)).map((value) => reading('time', value, units)),
  ];
}

/** In what the studio writes. */
const EXAMPLES = { mm: '790 C, 6 mm, 1.2 kg, 720 cm², 0.3 g/cm2, 220 C/h', in: '1450 F, 3/8 in, 2 lb 3 oz, 120 in², 0.3 g/cm2, 400 F/h' };

export function readings({ text, units }: WrittenAsked): Outcome<Reading[]> {
  const cone = CONE.exec(text.trim())?.[1];
  const named = CONES.find((one) => one === cone);
  if (cone !== undefined && named === undefined)
    return refused('unknown', 'text', `Cone ${cone} is not known here: from ${CONES[0]} to ${CONES[CONES.length - 1]}, those that clay moulds are fired to.`);
  if (named !== undefined) return found([{ as: 'cone', cone: named }]);
  const all = BARE.test(text) ? bare(text, units) : withUnit(text, units);
  if (all.length > 0) return found(all);
  const temperature = parseTemperature(text, units.temperature);
  const message =
    !temperature.ok && temperature.problem.code === 'ambiguous'
      ? temperature.problem.message
      : `This is not a figure. Write for example ${EXAMPLES[units.length]}, 1:30, 90e-7 or cone 06.`;
  return refused('unreadable', 'text', message);
}
