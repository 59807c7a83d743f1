/** What a calculator says to people: its figures in two units, its sum in figures, and what follows from it in words. */
import { type Units, otherUnits } from '../units/convert';
import { type Figure, text } from '../units/format';

export interface TwoUnits {
  label: string;
  value: Figure;
  other: Figure;
}

export interface ToldQuantity {
  /** The answer first. */
  figures: TwoUnits[];
  /** What to weigh or cut, one after the other. */
  rows?: { name: string; value: Figure; note: string }[];
  /** Line after line, in the studio's units. */
  sum: string[];
  /** Sentences; what warns is told apart. */
  words: string[];
  cautions: string[];
  /** The answer in one line. */
  short: string;
}

/** A figure in the studio's units and in the other ones. */
export const inTwo = (label: string, units: Units, shown: (units: Units) => Figure): TwoUnits => ({
  label,
  value: shown(units),
  other: shown(otherUnits(units)),
});

/** 'a × b × c', with the unit of each. */
export const product = (...figures: readonly (Figure | string)[]): string => figures.map((one) => (typeof one === 'string' ? one : text(one))).join(' × ');
