/** The scripts of docs/api, as somebody else would run them against a studio. */
import { execFile, spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { SETUPS } from '@torvin/core/schedule';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { constantsOf } from '@torvin/core/piece';
import { type TestServer, startTestServer, temporaryFolder } from '../test/testServer';

const DOCS = join(process.cwd(), 'docs', 'api');
const run = promisify(execFile);
const isHere = (program: string): boolean => spawnSync(program, ['--version'], { stdio: 'ignore' }).status === 0;

let server: TestServer;
let shell: { segments: { role: string; target_C: number; hold_s: number }[]; total_s: number };
beforeAll(async () => {
  server = await startTestServer();
  const body = /<<'JSON'\n([\s\S]*)\nJSON/.exec(readFileSync(join(DOCS, 'compose.sh'), 'utf8'))?.[1] ?? '';
  shell = (await server.ask('POST', '/api/compute/compose', body)).body;
});
afterAll(() => server.stop());

test('what the shell sends is what ships as typical, and is a schedule at the first try', () => {
  const body = JSON.parse(/<<'JSON'\n([\s\S]*)\nJSON/.exec(readFileSync(join(DOCS, 'compose.sh'), 'utf8'))![1]);
  expect(body.body.glasses[0]).toEqual(constantsOf({ ...TYPICAL_FAMILIES[0], version: 1 }));
  expect(body.kiln).toEqual(TYPICAL_KILN);
  expect(body.setup).toEqual(JSON.parse(JSON.stringify(SETUPS.bareShelf)));
  expect(shell.segments.map(({ role }) => role)).toEqual(expect.arrayContaining(['work', 'drop']));
});

/** In whole degrees and minutes, as the scripts print it. */
const printed = (): string =>
  [
    ...shell.segments.map(({ role, target_C, hold_s }) => `${role}: … to ${target_C.toFixed(0)} °C, hold ${(hold_s / 60).toFixed(0)} min`),
    `${(shell.total_s / 3600).toFixed(1)} h in all`,
  ].join('\n');
const plain = (words: string): string => words.trim().replace(/: [^:]*? to /g, ': … to ');

const programs: [name: string, program: string, words: string[]][] = [
  ['TypeScript', process.execPath, [join('node_modules', 'tsx', 'dist', 'cli.mjs'), join(DOCS, 'compose.ts')]],
  ...(isHere('python3') ? [['Python', 'python3', [join(DOCS, 'compose.py')]] satisfies [string, string, string[]]] : []),
];

test.each(programs)('%s composes the same and prints it', async (_, program, words) => {
  const { stdout } = await run(program, [...words, server.base]);
  expect(plain(stdout)).toBe(printed());
});

/** Where a machine has no curl, the same call by Node under its name. */
function pathWithCurl(): string {
  const PATH = process.env.PATH ?? '';
  if (isHere('curl')) return PATH;
  const folder = temporaryFolder();
  const stand = `#!${process.execPath}\nconst url = process.argv.find((word) => word.startsWith('http'));\nfetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: require('fs').readFileSync(0) }).then(async (answer) => process.stdout.write(await answer.text()));\n`;
  writeFileSync(join(folder, 'curl'), stand, { mode: 0o755 });
  return `${folder}:${PATH}`;
}

test('the shell script prints the answer', async () => {
  const { stdout } = await run('sh', [join(DOCS, 'compose.sh'), server.base], { env: { ...process.env, PATH: pathWithCurl() } });
  expect(JSON.parse(stdout).segments).toEqual(shell.segments);
});
