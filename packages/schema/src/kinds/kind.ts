/**
 * A kind of record: one definition from which its routes, store, place in piece files, list, search and form follow. A record is
 * a document with an id of its own among all kinds, and a version that counts its saves.
 */
import type { Units } from '@torvin/core/units';
import type { z } from 'zod';
import type { Field } from './fields';
import type { KindNames } from './names';
import type { Stored } from './stored';

/** Another record that one names. */
export interface Reference {
  kind: string;
  id: string;
  /** Where it is named. */
  path: string;
}

/** What a list row can ask of the shelves. */
export interface About {
  units: Units;
  nameOf(kind: string, id: string): string;
  /** A day as it is written there; ms, UTC. */
  day(at: number): string;
}

/** In: what a request may say, where some of it may be left out. */
export interface Kind<T extends Stored = Stored, In = unknown> extends KindNames {
  /** What to take care of where one works by such a record. */
  caution?: string;
  schema: z.ZodType<T, In>;
  /** What a save is held to, where that is more than what is kept. */
  change: z.ZodType<T, In>;
  /** What a form asks for, in this order. */
  fields: readonly Field[];
  /** What a new one begins with, but for id, version and name; only: the id of the only record of another kind, '' where there are several; now: ms, UTC. */
  begins?(only: (kind: string) => string, now: number): Omit<T, 'id' | 'version' | 'name' | 'source'>;
  /** What one is called where it has no name of its own. */
  title?(record: T, about: About): string;
  /** What a list row says under its name. */
  about(record: T, about: About): string;
  /** What a table of them has besides what its form asks for. */
  columns?: readonly { title: string; told(record: T, about: About): string }[];
  /** What a search looks at besides the row. */
  searched?(record: T): string;
  /** Records that one of this kind names. */
  names(record: T): Reference[];
  /** Times of one that cannot be still to come; at: where each is written. */
  past?(record: T): { at: number; path: string }[];
  /** It comes out of a piece or of a test series, and is begun nowhere else. */
  from?: 'pieces' | 'series';
  /** What of one stays as it was begun. */
  fixed?: readonly (keyof T & string)[];
  /** Whether it may be put away, kept for what was made with it and not offered any more. */
  archives: boolean;
}

type Told<T extends Stored, In> = Omit<Kind<T, In>, 'change' | 'names' | 'archives'> & Partial<Pick<Kind<T, In>, 'change' | 'names' | 'archives'>>;

const capital = (word: string): string => word[0].toUpperCase() + word.slice(1);

/** Infers the record's type from its schema, which is named in the OpenAPI document by what one of them is called. */
export function kind<T extends Stored, In>(told: Told<T, In>): Kind<T, In> {
  const id = told.one.split(' ').map(capital).join('');
  const schema = told.schema.meta({ id });
  const change = told.change ? told.change.meta({ id: `${id}Change` }) : schema;
  return { names: () => [], archives: true, ...told, schema, change };
}
