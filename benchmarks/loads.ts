/** What one schedule for six different bodies costs, beside the dearest of them by itself. */
import { composeLoad } from '@torvin/core/load';
import { compose } from '@torvin/core/schedule';
import { laid } from '../packages/core/src/load/load.testCases';
import { median } from './measure';

const ROUNDS = 5;
const SHEETS = [2, 2, 3, 4, 5, 6];

export function measureLoad(): void {
  const firings = SHEETS.map((count, i) => laid(count, 3, 100 + 40 * i));
  const alone_ms = firings.map((firing) => median(ROUNDS, () => compose(firing)));
  const entries = firings.map((firing, i) => ({ name: `Piece ${i + 1}`, firing }));
  const together_ms = median(ROUNDS, () => composeLoad(entries));
  process.stdout.write(
    `one schedule for six different bodies: ${(together_ms / Math.max(...alone_ms)).toFixed(1)} times the dearest by itself (8 asked), ${(together_ms / alone_ms.reduce((sum, one) => sum + one)).toFixed(2)} times all of them\n`,
  );
}
