/** One's own score at the five tasks, kept by the browser that it was made in. */
import { TASKS, type Task } from '@torvin/core/practice';
import { readStored, writeStored } from '@/outside/storage';

export interface Scored {
  tries: number;
  passed: number;
  /** When it was passed last; null where it was not yet. */
  passedAt: number | null;
}
export type Score = Readonly<Record<Task, Scored>>;

const KEY = 'torvin practice';
const NONE: Scored = { tries: 0, passed: 0, passedAt: null };

const isScored = (one: unknown): one is Scored =>
  typeof one === 'object' && one !== null && ['tries', 'passed'].every((key) => Number.isInteger((one as Record<string, unknown>)[key]));

export function readScore(): Score {
  const kept = readStored<Record<string, unknown>>('localStorage', KEY);
  return Object.fromEntries(TASKS.map((task) => [task, isScored(kept?.[task]) ? (kept[task] as Scored) : NONE])) as Record<Task, Scored>;
}

export function scored(score: Score, task: Task, passed: boolean, at: number): Score {
  const before = score[task];
  return { ...score, [task]: { tries: before.tries + 1, passed: before.passed + Number(passed), passedAt: passed ? at : before.passedAt } };
}

/** False where the browser keeps nothing. */
export const keepScore = (score: Score): boolean => writeStored('localStorage', KEY, score);

export const passedOf = (score: Score): number => TASKS.filter((task) => score[task].passed > 0).length;
