/**
 * npm run check: format, lint, types, unit tests, web export, browser tests. What does not wait for one another runs side by
 * side on two cores, each step's words kept together. The last line counts all tests.
 */
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { PLACE, browserEnv, build, hashOf, install, root, routeTypes, say, toolApart, words } from './lib.mjs';

words('npm run check: format, lint, types, unit tests, web export, browser tests; it takes no words', {});
await install();

const results = join(root, '.check');
const cache = join(root, 'node_modules', '.cache', 'torvin');
rmSync(results, { recursive: true, force: true });
mkdirSync(results);
mkdirSync(cache, { recursive: true });
const failures = [];
let passed = 0;
let failed = 0;

const began = Date.now();
const seconds = (ms) => `${(ms / 1000).toFixed(0)} s`;
/** How long each step took, as the last lines say it again. */
const took = [];
/** Of each test file, how long it took. */
const files = [];
const SLOWEST_SHOWN = 10;

async function step(name, work) {
  const started = Date.now();
  const { ok, output } = await work().catch((error) => ({ ok: false, output: `${error.message ?? error}\n` }));
  if (!ok) failures.push(name);
  const words = `${name}: ${ok ? 'passed' : 'FAILED'}, ${seconds(Date.now() - started)}`;
  took.push(words);
  say(`\n== ${words}\n${output.trimEnd()}`);
}

/** Runs some of the Jest projects and adds up what they counted; a run that counts nothing has failed. */
async function jest(projects, env) {
  const file = join(results, `${projects[0]}.json`);
  const { ok, output } = await toolApart('jest', ['--selectProjects', ...projects, '--json', `--outputFile=${file}`], { ...PLACE, ...env });
  if (!existsSync(file)) return { ok: false, output };
  const counts = JSON.parse(readFileSync(file, 'utf8'));
  passed += counts.numPassedTests;
  failed += counts.numFailedTests + counts.numRuntimeErrorTestSuites;
  for (const { name, startTime, endTime } of counts.testResults) files.push({ name: relative(root, name), ms: endTime - startTime });
  if (counts.numPendingTests + counts.numTodoTests > 0) failures.push(`${counts.numPendingTests + counts.numTodoTests} tests were skipped`);
  return { ok: ok && counts.numPassedTests > 0, output };
}

/** The linter knows types across files, so that one changed file can spoil another: it rests only while no source has changed. */
async function lint() {
  const stamp = join(cache, 'linted');
  const wanted = hashOf(['packages', 'apps', 'e2e', 'benchmarks', 'docs', 'scripts', 'eslint.config.js', 'tsconfig.json', 'package-lock.json'], {
    tests: true,
  });
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return { ok: true, output: 'Nothing has changed since it passed.' };
  const outcome = await toolApart('eslint', ['--max-warnings', '0', '.']);
  if (outcome.ok) writeFileSync(stamp, wanted);
  return outcome;
}

const format = () => toolApart('prettier', ['--check', '--log-level', 'warn', '--cache', '--cache-location', join(cache, 'formatted'), '.']);
async function types() {
  await routeTypes();
  return toolApart('tsc', ['-p', '.', '--incremental', '--tsBuildInfoFile', join(cache, 'types.tsbuildinfo')]);
}

async function builds() {
  await build();
  return { ok: true, output: '' };
}

/** One after the other; the lanes of Promise.all side by side. */
async function lane(...steps) {
  for (const [name, work] of steps) await step(name, work);
}

await Promise.all([lane(['unit tests', () => jest(['unit', 'web'])]), lane(['format', format], ['types', types], ['lint', lint], ['build', builds])]);

if (!failures.includes('build')) {
  const env = browserEnv();
  if (env === null) failures.push('no Chromium');
  else await step('browser tests', () => jest(['browser'], env));
}

say(`\n== all: ${seconds(Date.now() - began)}`);
for (const words of took) say(`   ${words}`);
say(`   test files: ${seconds(files.reduce((sum, { ms }) => sum + ms, 0))} on two workers; the slowest of them:`);
for (const { name, ms } of files.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST_SHOWN)) say(`   ${seconds(ms).padStart(6)}  ${name}`);
say('');
for (const name of failures) say(`FAILED: ${name}`);
if (failures.length > 0 && failed === 0) failed = failures.length;
say(`${passed} passed, ${failed} failed`);
process.exit(failures.length > 0 || failed > 0 ? 1 : 0);
