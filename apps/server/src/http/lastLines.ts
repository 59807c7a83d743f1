/** What was logged last, for whoever looks for a fault: what happened where in the program, and nothing of what was asked or answered. */
import { basename } from 'node:path';

const KEPT = 200;
const FRAMES = 6;

export interface LastLines {
  add(line: string): void;
  /** An error by its kind and where it came about; what it says may quote what somebody has written. */
  failed(what: string, error: unknown): void;
  lines(): readonly string[];
}

/** 'at save (records.ts:12:3)': without the folders that lie above. */
const frame = (line: string): string => line.trim().replace(/\(?(?:file:\/\/)?([^\s()]*[\\/][^\s()]+)\)?$/, (_, path: string) => `(${basename(path)})`);

export function keepLastLines(now: () => number): LastLines {
  const kept: string[] = [];
  const add = (line: string): void => {
    kept.push(`${new Date(now()).toISOString()} ${line}`);
    if (kept.length > KEPT) kept.shift();
  };
  return {
    add,
    failed(what, error) {
      const { name = typeof error, stack = '', code } = (error ?? {}) as { name?: string; stack?: string; code?: unknown };
      const frames = stack
        .split('\n')
        .filter((line) => /^\s+at /.test(line))
        .slice(0, FRAMES)
        .map(frame);
      add([what, name, typeof code === 'string' ? code : '', ...frames].filter(Boolean).join(' | '));
    },
    lines: () => kept,
  };
}
