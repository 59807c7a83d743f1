/**
 * Holds a schema to a type of the core, in both directions. `satisfies z.ZodType<X>` lets an optional field of X be absent from the
 * schema, and then a strict object refuses it when it comes.
 */
import type { z } from 'zod';

/** Every field present, at every depth, so that a missing optional field is a difference; without what is only computed. */
type Whole<T, Computed extends PropertyKey> = T extends readonly (infer Item)[]
  ? readonly Whole<Item, Computed>[]
  : T extends object
    ? { [K in keyof T as Exclude<K, Computed>]-?: Whole<T[K], Computed> }
    : T;

type Covers<Held, T, Computed extends PropertyKey> = [Whole<Held, Computed>] extends [Whole<T, Computed>]
  ? unknown
  : { 'the type has what the schema lacks': Held };
type Mismatch<T, Held, Computed extends PropertyKey> = Covers<Held, T, Computed> &
  ([Whole<T, Computed>] extends [Whole<Held, Computed>] ? unknown : { 'the schema has what the type lacks': T });

/** schemaFor<X>()(schema): the schema itself; one that lacks a field of X or has another does not compile. Computed: keys that are never sent or kept. */
export const schemaFor =
  <T, Computed extends PropertyKey = never>() =>
  <S extends z.ZodType<T>>(schema: S & Mismatch<T, z.output<S>, Computed>): S =>
    schema;

/** The same of a record that has more than X, such as a name: nothing of X may be absent from it. */
export const schemaWith =
  <T, Computed extends PropertyKey = never>() =>
  <S extends z.ZodType<T>>(schema: S & Covers<z.output<S>, T, Computed>): S =>
    schema;
