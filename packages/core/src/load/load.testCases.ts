/** Loads drawn at random: sheets of many sizes in like and unlike firings, at places of their own. Not exported from the package. */
import { bodyNamed } from '../bodies.testCases';
import type { Look } from '../look/names';
import type { FiringCase } from '../schedule/firingCase';
import { numbers, sheetsOf } from '../testCases';
import type { LoadEntry } from './entry';

/** So many sheets, square. */
export function laid(count: number, sheet_mm: number, size_mm: number, more: Partial<FiringCase> = {}): FiringCase {
  const firing = sheetsOf(count, sheet_mm / 1000);
  return { ...firing, ...more, body: { ...firing.body, footprint: { shape: 'rectangle', width_m: size_mm / 1000, length_m: size_mm / 1000 } } };
}

const FUSED: Look[] = ['tack', 'contour', 'fullFuse'];
const SLUMPED = ['a bowl, 300 by 50 mm', 'a dish, 100 by 15 mm', 'a thin dish', 'a thick plate'];

/** alike: all of one kind of firing. */
export function drawnLoad(seed: number, alike = true): LoadEntry[] {
  const next = numbers(seed);
  const among = <T>(all: readonly T[]): T => all[Math.floor(next() * all.length)];
  const slumps = next() < 0.3;
  const look = among(FUSED);
  return Array.from({ length: 2 + Math.floor(next() * 4) }, (_, i): LoadEntry => {
    const fused = laid(1 + Math.floor(next() * 4), among([2, 3, 4]), 40 + Math.floor(next() * 320), { look: alike ? look : among(FUSED) });
    return { name: `Piece ${i + 1}`, firing: slumps ? bodyNamed(among(SLUMPED)) : fused, hotter_K: Math.round(6 * (next() - 0.5)) };
  });
}
