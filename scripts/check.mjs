/** npm run check: format, lint, types, unit tests, web export, browser tests. The last line counts all tests. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build, findChromium, install, root, say, tool } from './lib.mjs';

install();

const results = join(root, '.check');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);
const failures = [];
let passed = 0;
let failed = 0;

function step(name, works) {
  const started = Date.now();
  say(`\n== ${name}`);
  if (!works()) failures.push(name);
  say(`   ${((Date.now() - started) / 1000).toFixed(0)} s`);
}

/** Runs some of the Jest projects and adds up what they counted; a run that counts nothing has failed. */
function jest(projects, env) {
  const file = join(results, `${projects[0]}.json`);
  const ok = tool('jest', ['--selectProjects', ...projects, '--json', `--outputFile=${file}`, ...(projects.includes('browser') ? ['--runInBand'] : [])], env);
  const counts = JSON.parse(readFileSync(file, 'utf8'));
  passed += counts.numPassedTests;
  failed += counts.numFailedTests + counts.numRuntimeErrorTestSuites;
  if (counts.numPendingTests + counts.numTodoTests > 0) failures.push(`${counts.numPendingTests + counts.numTodoTests} tests were skipped`);
  return ok && counts.numPassedTests > 0;
}

step('format', () => tool('prettier', ['--check', '--log-level', 'warn', '.']));
step('lint', () => tool('eslint', ['--max-warnings', '0', '.']));
step('types', () => tool('tsc', ['-p', '.']));
step('unit tests', () => jest(['unit', 'web'], { TZ: 'Europe/Lisbon' }));

say('\n== build');
try {
  await build();
  const chromium = findChromium();
  if (chromium === null) failures.push('no Chromium');
  else step('browser tests', () => jest(['browser'], { CHROMIUM_PATH: chromium, TZ: 'Europe/Lisbon' }));
} catch (error) {
  say(String(error.message ?? error));
  failures.push('build');
}

say('');
for (const name of failures) say(`FAILED: ${name}`);
if (failures.length > 0 && failed === 0) failed = failures.length;
say(`${passed} passed, ${failed} failed`);
process.exit(failures.length > 0 || failed > 0 ? 1 : 0);
