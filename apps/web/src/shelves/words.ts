/** What the records on the shelves are called, in this studio's units. */
import { glassName } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import { type About, type KindName, type Made, type Shelves, isKind, kindOf } from '@torvin/schema';
import { format } from 'date-fns/format';
import type { ShelfRecord } from '@/outside/records';

export function aboutShelves(shelves: Shelves, units: Units): About {
  const about: About = {
    units,
    nameOf(kind, id) {
      const named = isKind(kind) ? nameAmong(shelves, kind, id, about) : null;
      if (!named) return id;
      return named.note === undefined ? named.name : `${named.name} (${named.note})`;
    },
    day: (at) => format(at, 'd MMM yyyy'),
  };
  return about;
}

/** A record's name; with what a row says of it where another of its kind is called the same, as every maker's clear is. */
export function nameAmong(shelves: Shelves, kind: KindName, id: string, about: About): { name: string; note?: string } | null {
  const record = shelves[kind].find((one) => one.id === id);
  if (!record || !('name' in record)) return null;
  const { name } = record;
  const isAlone = shelves[kind].every((one) => one.id === id || !('name' in one) || one.name !== name);
  return isAlone ? { name } : { name, note: kindOf(kind).about(record, about) };
}

/** 'from Sun 29 Nov, 14:30 on'; '' where nothing has to be waited for any more. */
export const fromWhen = (from: number | null, now: number): string => (from === null || from <= now ? '' : `from ${format(from, 'EEE d MMM, HH:mm')} on`);

/** Where its figures are from; '' where that is not asked for. */
export const sourceOf = (record: ShelfRecord): string => ('source' in record ? record.source : '');

const LIES: Record<Made['lie'], string> = { level: 'in layers', upright: 'in stripes', crosswise: 'in stripes across it', mixed: 'mixed' };

/** 'Straw 25 %, Rose 75 %, in stripes': what made glass is of. */
export function madeOfWords({ stripes, lie }: Pick<Made, 'stripes' | 'lie'>, shelves: Shelves): string {
  const shares = new Map<string, number>();
  for (const { glassId, share } of stripes) shares.set(glassId, (shares.get(glassId) ?? 0) + share);
  const named = [...shares].map(([id, share]) => `${glassName(shelves, id)}${shares.size > 1 ? ` ${Math.round(100 * share)} %` : ''}`);
  return [...named, ...(shares.size > 1 ? [LIES[lie]] : [])].join(', ');
}
