/** Whether a schedule was made from another lay-up, kiln or way of firing than the piece has now. */
import { type Shelves, type Snapshot, type Step, type PieceDoc, snapshotOf } from '@torvin/schema';

export function isOlder(doc: PieceDoc, step: Step, shelves: Shelves, made: Snapshot): boolean {
  const now = snapshotOf(doc, step, shelves);
  return now.ok && canonical(madeFor(now.value)) !== canonical(madeFor(made));
}

/** What a person can have changed; limits and set-up constants that a newer program ships do not make a schedule older. */
const madeFor = ({ firing: { body, kiln, school, look, setup }, setup: stands }: Snapshot) => ({ body, kiln, school, look, shaping: setup.shaping, stands });

/** Key order must not make a difference. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part && typeof part === 'object' && !Array.isArray(part) ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1))) : part,
  );
