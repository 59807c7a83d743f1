/** Studios that tests copy instead of computing each its own, and the engine's worker; see scripts/fixtures.mjs. */
import { execFileSync } from 'node:child_process';
import { cpSync } from 'node:fs';
import { join } from 'node:path';

/** When the demo studio of the tests was seeded. */
export const NOW = Date.UTC(2026, 10, 23, 8);
/** Pieces, and as many firings, that ten years add to it. */
export const TEN_YEARS_COUNT = 5000;

/** pictured: the demo with its photos. */
export type StudioFixture = 'demo' | 'pictured' | 'tenYears';

let folder: string | null = null;
/** Made by the first test that asks since a source changed; a few seconds, once. */
export const fixturesFolder = (): string =>
  (folder ??= execFileSync(process.execPath, [join(process.cwd(), 'scripts', 'fixtures.mjs')], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
  }).trim());

/** A studio of its own for a test, in a folder that is there. */
export function copyStudio(name: StudioFixture, to: string): string {
  cpSync(join(fixturesFolder(), name), to, { recursive: true });
  return to;
}
