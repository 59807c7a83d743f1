/** An import by way of a room's index comes from the module that holds the thing, and means the same. */
import { transformSync } from '@babel/core';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const AT = join(process.cwd(), 'apps/web/src/pieces/made-up.ts');
const past = (code: string): string =>
  transformSync(code, {
    filename: AT,
    babelrc: false,
    configFile: false,
    plugins: [join(process.cwd(), 'apps/web/pastIndexes.js')],
    parserOpts: { plugins: ['typescript'] },
  })?.code ?? '';

test.each([
  ["import { boxOf } from '@torvin/core/plan';", /^import \{ boxOf \} from "(.*\/plan\/parts)";$/],
  ["import { boxOf as box } from '@torvin/core/plan';", /^import \{ boxOf as box \} from "(.*\/plan\/parts)";$/],
  // By way of two indexes and of stars.
  ["import { csvOf } from '@torvin/schema';", /^import \{ csvOf \} from "(.*\/schema\/src\/csv)";$/],
  ["export { LOOK_NAMES } from '@torvin/core/look';", /^export \{ LOOK_NAMES \} from "(.*\/look\/names)";$/],
])('%s', (code, wanted) => {
  const [, from] = wanted.exec(past(code)) ?? [past(code)];
  const file = `${join(dirname(AT), from)}.ts`;
  expect([from, existsSync(file)]).toEqual([from, true]);
  const [, name] = /\{ (\w+)/.exec(code) ?? [];
  expect(readFileSync(file, 'utf8')).toMatch(new RegExp(`export (const|function) ${name}\\b`));
});

test.each([
  "import * as plan from '@torvin/core/plan';",
  "import { notThere } from '@torvin/core/plan';",
  "import { View } from 'react-native';",
  "import { drawn } from './drawn';",
  "import '@torvin/core/plan';",
  // What a module of one room holds itself.
  "import { ENGINE_VERSION } from '@torvin/core/version';",
])('%s stays', (code) => expect(past(code)).toBe(code));

test('of several things each comes from its own module, and types stay where they were', () => {
  const made = past("import { type Box, boxOf, gapBetween } from '@torvin/core/plan';");
  expect(made).toMatch(/import \{ type Box \} from '@torvin\/core\/plan';/);
  expect(made).toMatch(/import \{ boxOf \} from ".*\/plan\/parts";/);
  expect(made).toMatch(/import \{ gapBetween \} from ".*\/plan\/clip";/);
});
