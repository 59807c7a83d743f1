/** Lists of a type's keys that the compiler holds complete: one that is left out, or that there is not, is an error. */

/** The keys of a table that has one line for each of T's; in its order. */
export const keysOf = <T extends object>(table: Record<keyof Required<T>, true>): readonly (keyof T & string)[] => Object.keys(table) as (keyof T & string)[];

/** Those keys of an object that have a value. */
export function pickKeys<T extends object, K extends keyof T>(from: T, keys: readonly K[]): Pick<T, K> {
  const picked: Partial<Pick<T, K>> = {};
  for (const key of keys) if (from[key] !== undefined) picked[key] = from[key];
  return picked as Pick<T, K>;
}
