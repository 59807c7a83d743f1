/** As what the glass of a hollow can be put in: strips that were reckoned for it, billets and sheets as the shelf has them, scrap by its size, frit. */
import { LAYER_KINDS } from '@torvin/core/piece';
import { type Hollow, type Stack, type Stock, brickVolume } from '@torvin/core/quantity';
import { type Units, suggested } from '@torvin/core/units';
import type { PutMass } from './putHollow';
import { type Read, type Typed, readTyped } from './typed';

const { range: THICK } = LAYER_KINDS.chunks.fields.thick_m;
const { range: WIDE } = LAYER_KINDS.chunks.fields.wide_m;

export const PUT_AS = ['strips', 'billets', 'sheets', 'scrap', 'frit'] as const;
export type PutName = (typeof PUT_AS)[number];
export const PUT_TITLES: Record<PutName, string> = { strips: 'strips', billets: 'billets', sheets: 'sheets', scrap: 'scrap, chunks', frit: 'frit, grains' };

/** Of scrap where nothing else is told: how thick and how wide one is, m. */
export const USUAL_LUMP_M = { thick_m: 0.01, wide_m: 0.03 };

export interface Offered {
  stock: Stock;
  /** As thick as it is sold, m. */
  sheet_m: number | undefined;
  density_kg_m3: number;
  /** Of the hollow, where there is but one. */
  left: Hollow | null;
  stack: Stack | null;
}

/** In the order in which they are offered. */
export function offeredAs({ stock, sheet_m, left, stack }: Offered): PutName[] {
  const has: Record<PutName, boolean> = {
    ...{ strips: stack !== null, billets: stock.billet !== undefined, scrap: true, frit: true },
    sheets: sheet_m !== undefined && left?.kind === 'straight',
  };
  return PUT_AS.filter((one) => has[one]);
}

/** What is chosen, else the strips that were asked for, else frit. */
export function putAsIn(typed: Typed, offered: readonly PutName[]): PutName {
  return offered.find((one) => one === typed.putAs) ?? (offered.includes('strips') ? 'strips' : 'frit');
}

/** Sizes in order, the least first. */
const lump = (one_m: number, other_m: number): { thick_m: number; wide_m: number } => ({ thick_m: Math.min(one_m, other_m), wide_m: Math.max(one_m, other_m) });

const atMost = ({ thick_m, wide_m }: { thick_m: number; wide_m: number }): { thick_m: number; wide_m: number } => ({
  thick_m: Math.min(Math.max(thick_m, THICK.least), THICK.most),
  wide_m: Math.min(Math.max(wide_m, WIDE.least), WIDE.most),
});

/** What goes in, and how much: strips by what they weigh once cut, all else by what was reckoned with what stays behind. */
export function readPutAs(typed: Typed, units: Units, offer: Offered, total_kg: number): Read<Pick<PutMass, 'as' | 'mass_kg' | 'cut'>> {
  const { stock, stack, sheet_m, density_kg_m3 } = offer;
  const name = putAsIn(typed, offeredAs(offer));
  return readTyped(typed, units, (read) => {
    switch (name) {
      case 'strips': {
        if (!stack) break;
        const { width_m, depth_m } = stack.strip;
        const as = { form: 'chunks', name: 'Strips', ...atMost(lump(depth_m, width_m)) } as const;
        return { as, mass_kg: stack.count * brickVolume(stack.strip) * density_kg_m3, cut: { ...stack.strip, count: stack.count } };
      }
      case 'billets': {
        if (!stock.billet) break;
        const [thick_m, wide_m] = Object.values(stock.billet).sort((a, b) => a - b);
        return { as: { form: 'chunks', name: 'Billets', ...atMost({ thick_m, wide_m }) }, mass_kg: total_kg };
      }
      case 'sheets':
        if (sheet_m === undefined) break;
        return { as: { form: 'sheet', thickness_m: sheet_m, density_kg_m3 }, mass_kg: total_kg };
      case 'scrap': {
        const across = (field: string, words: string, usual_m: number): number =>
          read.maybe(field, () => read.figure(field, words, THICK)) ?? suggested(usual_m, units.length);
        const size = lump(across('lumpThick', 'thickness of a piece', USUAL_LUMP_M.thick_m), across('lumpWide', 'width of a piece', USUAL_LUMP_M.wide_m));
        return { as: { form: 'chunks', name: 'Scrap', ...size }, mass_kg: total_kg };
      }
      default:
        break;
    }
    return { as: { form: 'frit', name: 'Frit' }, mass_kg: total_kg };
  });
}
