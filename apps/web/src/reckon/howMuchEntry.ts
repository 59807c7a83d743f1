/** 'How much glass' as it is typed: cavities one after the other, and what counts for all of them. */
import type { Cavity, HowMuch, Stock } from '@torvin/core/quantity';
import { type Units, suggested } from '@torvin/core/units';
import { readHollow, spreadSizes } from './hollowEntry';
import { type Read, type Typed, readTyped } from './typed';

export const WAYS = ['size', 'water', 'model'] as const;
export const CAVITIES_AT_MOST = 12;

const MASS = { least: 1e-3, most: 200 };
const COUNT = { least: 1, most: 500 } as const;
/** Strips in a trough are shorter than it by this at each end where nothing else is told, m. */
export const ENDS_M = 0.003;
/** Of the wax that models are made of, kg/m³. */
export const WAX_kg_m3 = 930;
const MODEL_kg_m3 = { least: 200, most: 12000 };

export const cavitiesIn = (typed: Typed): number => Math.min(Math.max(Number(typed.cavities ?? 1) || 1, 1), CAVITIES_AT_MOST);

export function readHowMuch(typed: Typed, units: Units, of: { density_kg_m3: number; stock: Stock; sizes_m?: readonly number[] }): Read<HowMuch> {
  const indices = Array.from({ length: cavitiesIn(typed) }, (_, i) => i);
  const spread = indices.reduce((now, i) => spreadSizes(now, `c${i}.`), typed);
  return readTyped(
    spread,
    units,
    (read) => {
      const cavities = indices.map((i): Cavity => {
        const at = `c${i}.`;
        const count = read.maybe(`${at}count`, () => read.figure(`${at}count`, 'number', COUNT)) ?? 1;
        switch (read.choice(`${at}by`, WAYS)) {
          case 'size': {
            const hollow = readHollow(read, at, units);
            const liner_m = read.maybe(`${at}liner`, () => read.figure(`${at}liner`, 'liner', { least: 0, most: 0.05 }));
            const to_m = read.maybe(`${at}to`, () => read.figure(`${at}to`, 'depth of the glass', { least: 0.001, most: 0.3 }));
            return { by: 'size', count, hollow, ...(liner_m === undefined ? {} : { liner_m }), ...(to_m === undefined ? {} : { to_m }) };
          }
          case 'water': {
            const poured_kg = read.figure(`${at}poured`, 'water', MASS);
            const drunk_kg = read.maybe(`${at}drunk`, () => read.figure(`${at}drunk`, 'water that the mould drank', { least: 0, most: 200 }));
            return { by: 'water', count, poured_kg, ...(drunk_kg === undefined ? {} : { drunk_kg }) };
          }
          case 'model': {
            const model_kg = read.figure(`${at}model`, 'model', MASS);
            const density_kg_m3 = read.maybe(`${at}density`, () => read.figure(`${at}density`, 'density of the model', MODEL_kg_m3)) ?? WAX_kg_m3;
            return { by: 'model', count, model_kg, density_kg_m3 };
          }
        }
      });
      const stays_kg = read.maybe('stays', () => read.figure('stays', 'glass that stays', { least: 0, most: 200 }));
      const have_kg = read.maybe('have', () => read.figure('have', 'glass that there is', { least: 1e-3, most: 200 }));
      const thickness_m = read.maybe('strip', () => read.figure('strip', 'strip', { least: 0.0005, most: 0.1 }));
      const ends_m = read.maybe('ends', () => read.figure('ends', 'margin at the ends', { least: 0, most: 0.2 })) ?? suggested(ENDS_M, units.length);
      return {
        ...{ density_kg_m3: of.density_kg_m3, cavities, stock: of.stock },
        ...(stays_kg === undefined ? {} : { stays_kg }),
        ...(have_kg === undefined ? {} : { have_kg }),
        ...(thickness_m === undefined ? {} : { strips: { thickness_m, ends_m } }),
      };
    },
    of.sizes_m,
  );
}

/** The field that a refusal of the core belongs to: 'cavities.1.liner_m' is 'c1.liner'. */
export const fieldOfCavity = (path: string): string => path.replace(/^cavities\.(\d+)\./, 'c$1.').replace(/_(m|kg)$/, '');
