/** What demo, check and bench share: installing, building, finding Chromium. Only Node's own modules at the top. */
import './node.mjs';
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import * as os from 'node:os';
import { basename, dirname, isAbsolute, join, relative, sep } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import * as util from 'node:util';
import { brotliCompress, constants, gzip as zipped } from 'node:zlib';

// By their modules: an older Node lacks some of these, and would not get as far as saying so.
const { parseArgs, promisify } = util;
const { availableParallelism } = os;

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const at = (...parts) => join(root, ...parts);

/** Where tests run, wherever they run. */
export const PLACE = { TZ: 'Europe/Lisbon' };

export const say = (text) => process.stdout.write(`${text}\n`);

/** Runs a command to its end with its output shown; true when it succeeded. */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (done.error) throw done.error;
  return done.status === 0;
}

const TOOL_OWNERS = { tsc: 'typescript' };

/** A tool's own script, run by Node itself: what lies in .bin is no program on Windows. To be spread into run or spawn. */
export function tool(name, args) {
  const dir = at('node_modules', TOOL_OWNERS[name] ?? name);
  const { bin } = JSON.parse(readFileSync(join(dir, 'package.json'), 'utf8'));
  return [process.execPath, [join(dir, typeof bin === 'string' ? bin : bin[name]), ...args]];
}

/** Runs a command beside others: whether it succeeded, and all it said, once it has ended. */
function runApart(command, args, env = {}, cwd = root) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (output += chunk));
    child.once('error', reject);
    child.once('close', (code) => resolve({ ok: code === 0, output }));
  });
}

/** What a command printed; its words are the error where it fails. */
export async function toolOutput(command, args, env) {
  const { ok, output } = await runApart(command, args, env);
  if (!ok) throw new Error(output);
  return output;
}

export const toolApart = (name, args, env) => runApart(...tool(name, args), env);

/** Of the files' names and contents; tests only where they matter to what is asked. */
export function hashOf(paths, { tests = false } = {}) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort()) if (!['node_modules', 'dist', '.expo', 'workers', 'docs'].includes(name)) add(join(path, name));
      return;
    }
    if (!tests && /\.test\.tsx?$/.test(path)) return;
    hash.update(relative(root, path)).update('\0').update(readFileSync(path)).update('\0');
  };
  paths.map((path) => at(path)).forEach(add);
  return hash.digest('hex');
}

const read = (path) => (existsSync(path) ? readFileSync(path, 'utf8') : '');

/** Installs the dependencies when the lock file is not the one they were installed from. */
export async function install() {
  const stamp = at('node_modules', '.torvin-lock');
  const wanted = hashOf(['package-lock.json']);
  if (read(stamp) === wanted) return;
  const asked = ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error'];
  const { packages } = JSON.parse(read(at('package-lock.json')));
  const folders = Object.keys(packages).filter((path) => path.startsWith('node_modules/') && !packages[path].optional && !packages[path].link);
  const there = () => folders.filter((path) => existsSync(at(path, 'package.json'))).length;
  // Started by npm, it says itself where it is.
  const npm = process.env.npm_execpath;
  const { ok, output } = await withProgress(
    'Installing packages',
    () => `${there()} of ${folders.length}`,
    npm ? runApart(process.execPath, [npm, ...asked]) : runApart('npm', asked),
  );
  if (!ok) throw new Error(`npm ci failed:\n${output}`);
  writeFileSync(stamp, wanted);
}

const PROGRESS_EVERY_MS = 5000;

/** Says every few seconds what is being done and how far it is, until it is done. */
async function withProgress(title, far, work) {
  const since = Date.now();
  const elapsed = () => `${Math.round((Date.now() - since) / 1000)} s`;
  say(`${title} …`);
  const timer = setInterval(() => say(`  ${title}: ${[far(), elapsed()].filter(Boolean).join(', ')}`), PROGRESS_EVERY_MS);
  try {
    return await work;
  } finally {
    clearInterval(timer);
    say(`  ${title}: done in ${elapsed()}`);
  }
}

/** Builds into a folder unless it was built from the same sources; build tells what it is at. */
async function once(name, stampDir, sources, build) {
  const stamp = join(stampDir, '.built-from');
  const wanted = hashOf(sources);
  if (read(stamp) === wanted) return;
  rmSync(stamp, { force: true });
  let doing = '';
  await withProgress(
    `Building ${name}`,
    () => doing,
    build((what) => (doing = what)),
  );
  mkdirSync(stampDir, { recursive: true });
  writeFileSync(stamp, wanted);
}

/** What the workspaces open of themselves, each under the name that it is imported by. */
const alias = Object.fromEntries(
  ['core', 'schema'].flatMap((name) => {
    const { exports } = JSON.parse(readFileSync(at(`packages/${name}/package.json`), 'utf8'));
    const opened = Object.entries(exports).map(([path, file]) => [join(`@torvin/${name}`, path), at(`packages/${name}/${file}`)]);
    // esbuild takes the first that fits.
    return opened.sort(([a], [b]) => b.length - a.length);
  }),
);
const shared = ['package-lock.json', 'package.json', 'scripts/lib.mjs', 'packages'];

/** Packages that are bundled too: of hundreds of small files each, which a start would look for one by one. */
const BUNDLED = ['zod', 'zod-openapi', 'drizzle-orm', 'uuid', 'ml-levenberg-marquardt', 'polygon-clipping', 'fft.js'];
const outside = () => {
  const { dependencies, devDependencies } = JSON.parse(readFileSync(at('package.json'), 'utf8'));
  return Object.keys({ ...dependencies, ...devDependencies }).filter((name) => !BUNDLED.includes(name));
};

/** The schema library says its own messages in fifty languages; here they are said in one. */
const oneLanguage = {
  name: 'one language',
  setup: ({ onResolve }) => onResolve({ filter: /\/locales\/index\.js$/ }, ({ importer }) => ({ path: join(dirname(importer), '..', 'locales', 'en.js') })),
};

/** How what runs in Node is bundled. define: names that stand for a value. */
const forNode = (entryPoints, outdir, define = {}) => ({
  entryPoints,
  outdir: isAbsolute(outdir) ? outdir : at(outdir),
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  external: outside(),
  define,
  plugins: [oneLanguage],
  alias,
  sourcemap: true,
  logLevel: 'warning',
});

export async function bundleForNode(entryPoints, outdir, define) {
  const { build } = await import('esbuild');
  await build(forNode(entryPoints, outdir, define));
}

const SERVER = {
  main: at('apps/server/src/main.ts'),
  computeWorker: at('apps/server/src/compute/worker.ts'),
  backupWorker: at('apps/server/src/backup/worker.ts'),
  backup: at('apps/server/src/backup/command.ts'),
};
const API_DIGEST = { apiDigest: at('apps/server/src/http/apiDigest.ts') };

/** The digest of the requests and answers that the built server knows, for itself and for its pages. */
async function apiOf(outdir) {
  const { ownApi } = await import(`${pathToFileURL(at(outdir, 'apiDigest.mjs'))}?${Date.now()}`);
  return ownApi();
}

function copyMigrations(outdir) {
  rmSync(at(outdir, 'migrations'), { recursive: true, force: true });
  cpSync(at('apps/server/src/db/migrations'), at(outdir, 'migrations'), { recursive: true });
}

async function buildServer() {
  await bundleForNode(API_DIGEST, 'dist/server');
  await bundleForNode(SERVER, 'dist/server', { TORVIN_API: JSON.stringify(await apiOf('dist/server')) });
  copyMigrations('dist/server');
}

/** The fits of the engine invert by other ways: without this one of the matrix package its worker weighs less. */
const withoutSvd = {
  name: 'without-svd',
  setup(build) {
    build.onResolve({ filter: /\/svd$/ }, ({ path }) => ({ path, namespace: 'left-out' }));
    build.onLoad({ filter: /.*/, namespace: 'left-out' }, () => ({ contents: "export default class { constructor() { throw new Error('Left out.'); } }" }));
  },
};

const ENGINE_WORKER = {
  entryPoints: { engine: at('apps/web/src/engine/worker.ts') },
  outdir: at('apps/web/public/workers'),
  bundle: true,
  // What is asked later is a file of its own.
  ...{ format: 'esm', splitting: true },
  target: 'es2022',
  // Degrees and dashes as they are: as escapes they weigh more.
  charset: 'utf8',
  // Its own sources: of its one large file nothing can be left out.
  alias: { ...alias, 'ml-matrix': at('node_modules/ml-matrix/src/index.js') },
  // What strangers may ask is read where they ask; the worker never does.
  external: ['./contract'],
  plugins: [withoutSvd],
  logLevel: 'warning',
};

/** Builds the server and the engine's worker again whenever a source of theirs is saved; tells each time the server was built. */
export async function watchServer(outdir, onBuilt) {
  const { context } = await import('esbuild');
  const told = { name: 'told', setup: ({ onEnd }) => void onEnd(({ errors }) => (errors.length === 0 ? (copyMigrations(outdir), onBuilt()) : undefined)) };
  const watched = [await context({ ...forNode(SERVER, outdir), plugins: [oneLanguage, told] }), await context(ENGINE_WORKER)];
  await Promise.all(watched.map((one) => one.watch()));
}

export const EXPO_ENV = { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' };

/** Writes the types of the web app's addresses, from its route files. */
export async function routeTypes() {
  const outdir = at('apps/web/.expo/types');
  mkdirSync(outdir, { recursive: true });
  const script = `require('expo-router/build/typed-routes').regenerateDeclarations(${JSON.stringify(outdir)})`;
  const { ok, output } = await runApart(process.execPath, ['-e', script], { EXPO_ROUTER_APP_ROOT: at('apps/web/src/app') }, at('apps/web'));
  if (!ok) throw new Error(`The types of the routes could not be written:\n${output}`);
}

/** What was said on a command's line, by node:util's parseArgs; a word that is not known ends it, and --help tells what there is. */
export function words(usage, options) {
  try {
    const { values } = parseArgs({ options: { ...options, help: { type: 'boolean', short: 'h' } } });
    if (!values.help) return values;
    say(usage);
    process.exit(0);
  } catch (error) {
    process.stderr.write(`${error.message}\n\n${usage}\n`);
    process.exit(2);
  }
}

const WEB_DIST = 'apps/web/dist';

/** Papers for whoever uses Torvin; the others are for who builds it. */
const PAPERS = ['features', 'schedules', 'model', 'formats', 'glossary'];
const COPYRIGHT = /^\W*(copyright\b|©).*$/im;

/** What ships, each package with its licence and whose it is: of what was installed, from the lock file. */
function licences() {
  const { packages } = JSON.parse(readFileSync(at('package-lock.json'), 'utf8'));
  const rows = Object.entries(packages).flatMap(([path, { dev, link, version, license }]) => {
    if (!path.startsWith('node_modules/') || dev || link || !existsSync(at(path, 'package.json'))) return [];
    const text = readdirSync(at(path)).find((name) => /^licen[cs]e/i.test(name) && statSync(at(path, name)).isFile());
    const owner = text ? (COPYRIGHT.exec(readFileSync(at(path, text), 'utf8'))?.[0] ?? '') : '';
    const said = license ?? JSON.parse(readFileSync(at(path, 'package.json'), 'utf8')).license ?? 'see the package';
    const cell = (words) => String(words).replace(/[|<>]/g, ' ').trim();
    return [`| ${cell(path.replace(/^.*node_modules\//, ''))} ${version} | ${cell(said)} | ${cell(owner)} |`];
  });
  return ['# Licences of what ships', '', '| package | licence | whose |', '|---|---|---|', ...[...new Set(rows)].sort()].join('\n');
}

/** Puts the papers beside the pages, so that they open as offline as those do. */
export function copyPapers() {
  const to = at('apps/web/public/docs');
  rmSync(to, { recursive: true, force: true });
  mkdirSync(to, { recursive: true });
  for (const name of PAPERS) cpSync(at(`docs/${name}.md`), join(to, `${name}.md`));
  writeFileSync(join(to, 'licences.md'), `${licences()}\n`);
}

async function buildWeb(tell) {
  tell('the engine’s worker');
  const { build } = await import('esbuild');
  rmSync(ENGINE_WORKER.outdir, { recursive: true, force: true });
  const { metafile } = await build({ ...ENGINE_WORKER, minify: true, entryNames: '[name]-[hash]', chunkNames: '[name]-[hash]', metafile: true });
  tell('bundling the pages');
  copyPapers();
  const env = { ...EXPO_ENV, CI: '1', NODE_ENV: 'production' };
  // Metro alone would use one core of two and spend a third of its time on making each module small.
  const asked = ['export', '--platform', 'web', '--output-dir', 'dist', '--no-minify', '--max-workers', String(availableParallelism())];
  const { ok, output } = await runApart(...tool('expo', asked), env, at('apps/web'));
  if (!ok) throw new Error(`The web export failed:\n${output}`);
  laterTogether(at(WEB_DIST));
  tell('making the pages small');
  await minify(at(WEB_DIST, '_expo/static/js/web'));
  const told = { engine: engineFiles(metafile).join(' '), api: await apiOf('dist/server') };
  const metas = Object.entries(told).map(([name, content]) => `<meta name="torvin-${name}" content="${content}" />`);
  const page = at(WEB_DIST, 'index.html');
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${metas.join('')}</head>`));
  tell('the service worker');
  await buildServiceWorker();
  tell('compressing');
  await compressBeside(at(WEB_DIST));
}

/** The worker's file, and those that it begins with, as the page asks for them. */
function engineFiles({ outputs }) {
  const [engine] = Object.keys(outputs).filter((path) => outputs[path].entryPoint?.endsWith('engine/worker.ts'));
  const others = outputs[engine].imports.filter(({ kind }) => kind === 'import-statement').map(({ path }) => path);
  return [engine, ...others].map((path) => `/workers/${basename(path)}`);
}

/**
 * What pages that are read later have in common is asked for with the first view; it goes into the file of the first of them instead,
 * after which the others are read (see workbench.tsx).
 */
function laterTogether(dist) {
  const folder = join(dist, '_expo/static/js/web');
  const [common, run] = ['__common-', 'run-'].map((start) => readdirSync(folder).find((name) => name.startsWith(start)));
  if (!common || !run) throw new Error(`The export has no ${common ? 'file of the run sheet' : '__common file'}: see laterTogether in scripts/lib.mjs.`);
  writeFileSync(join(folder, run), `${read(join(folder, common))}\n${read(join(folder, run))}`);
  rmSync(join(folder, common));
  const page = join(dist, 'index.html');
  const asked = new RegExp(`<script src="[^"]*/${common}"[^>]*></script>`);
  if (!asked.test(read(page))) throw new Error('The page does not ask for what its later pages have in common: see laterTogether in scripts/lib.mjs.');
  writeFileSync(page, read(page).replace(asked, ''));
}

/** The name of a module beside its number, which Metro leaves where it does not make things small itself. */
const MODULE_NAME = /(\(_dependencyMap\[\d+\]), "[^"]*"\)/g;

/** Makes the scripts of a folder small: whole files at once, in seconds. */
async function minify(folder) {
  const { transform } = await import('esbuild');
  const scripts = readdirSync(folder)
    .filter((name) => name.endsWith('.js'))
    .map((name) => join(folder, name));
  const small = async (file) => {
    const { code } = await transform(readFileSync(file, 'utf8').replace(MODULE_NAME, '$1)'), {
      ...{ minify: true, target: 'es2022', charset: 'utf8', legalComments: 'none' },
    });
    writeFileSync(file, code);
  };
  await Promise.all(scripts.map(small));
}

/** Of the export, what is named by its content: as the server says, too. */
const HASHED = /^(_expo|assets|workers)\//;
/** What no page asks for: what tells of the export, and what the router shows while somebody develops. */
const NOT_ASKED_FOR = /^(metadata\.json|assets\/__node_modules\/.*)$/;

/** Lists every file of the export in the service worker, so that the app opens without the server. */
async function buildServiceWorker() {
  const { build } = await import('esbuild');
  const files = readdirSync(at(WEB_DIST), { recursive: true })
    .filter((name) => statSync(at(WEB_DIST, name)).isFile())
    .map((name) => name.split(sep).join('/'))
    .filter((file) => !NOT_ASKED_FOR.test(file))
    .sort();
  const digest = (file) =>
    createHash('sha256')
      .update(readFileSync(at(WEB_DIST, file)))
      .digest('hex')
      .slice(0, 16);
  const shell = files.map((file) => ({ url: `/${file}`, revision: HASHED.test(file) ? null : digest(file) }));
  await build({
    entryPoints: [at('apps/web/src/away/worker.ts')],
    outfile: at(WEB_DIST, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: { SHELL: JSON.stringify(shell), 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
}

const COMPRESSED = /\.(js|html|css|svg|json|md)$/;
const COMPRESSED_FROM_BYTES = 1024;

/** Puts a compressed copy beside each file of text, so that the server need not compress it whenever it is asked for. */
async function compressBeside(folder) {
  const [brotli, gzip] = [brotliCompress, zipped].map(promisify);
  const files = readdirSync(folder, { recursive: true }).map((name) => join(folder, name));
  const compress = async (file) => {
    const text = readFileSync(file);
    const [br, gz] = await Promise.all([
      brotli(text, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: text.length } }),
      gzip(text, { level: constants.Z_BEST_COMPRESSION }),
    ]);
    writeFileSync(`${file}.br`, br);
    writeFileSync(`${file}.gz`, gz);
  };
  // Side by side, on as many cores as there are.
  await Promise.all(files.filter((name) => COMPRESSED.test(name) && statSync(name).size >= COMPRESSED_FROM_BYTES).map(compress));
}

export async function build() {
  await once('the server', at('dist/server'), [...shared, 'apps/server'], buildServer);
  await once('the web app', at('apps/web/dist'), [...shared, 'apps/web', ...PAPERS.map((name) => `docs/${name}.md`)], buildWeb);
}

/** The exit code of a server that wants to be told something before it starts. */
export const ASKS = 3;

/** Starts the server; resolves with its address once it prints one. */
export function startServer(env = {}, { quiet = false, from = 'dist/server' } = {}) {
  const child = spawn(process.execPath, [at(from, 'main.mjs')], { cwd: root, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'inherit'] });
  const address = new Promise((resolve, reject) => {
    let heard = '';
    child.stdout.on('data', (chunk) => {
      if (!quiet) process.stdout.write(chunk);
      heard += chunk;
      const match = /(https?:\/\/\S+)/.exec(heard);
      if (match) resolve(match[1]);
    });
    child.once('exit', (code) => reject(new Error(`The server ended with ${code} before it was up.`)));
  });
  return { child, address };
}

const works = (path) => spawnSync(path, ['--version'], { stdio: 'ignore' }).status === 0;

/** One of Debian's packages, where this may install it: whether it works then. */
function installs(name) {
  if (process.getuid?.() !== 0 || !works('apt-get')) return false;
  say(`Installing ${name} from Debian (once) …`);
  const env = { DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], env);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], env);
  return works(name);
}

/** A Chromium to drive, installed from Debian when there is none and this is root; null with a sentence otherwise. */
export function findChromium() {
  const named = [process.env.CHROMIUM_PATH, 'chromium', 'chromium-browser', 'google-chrome'].filter(Boolean);
  const here = named.find(works) ?? (installs('chromium') ? 'chromium' : null);
  if (here === null) say('No Chromium found, so the browser tests cannot run: install one, or set CHROMIUM_PATH to it.');
  return here;
}

/**
 * What browser tests are started with; null without a Chromium. Most of them share Debian's headless shell where it can be had: it
 * draws no browser round a page, which costs each new window of the whole Chromium half a second.
 */
export function browserEnv() {
  const chromium = findChromium();
  if (chromium === null) return null;
  const shell = 'chromium-headless-shell';
  const shared = !process.env.CHROMIUM_PATH && (works(shell) || installs(shell)) ? shell : chromium;
  return { CHROMIUM_PATH: chromium, TORVIN_SHARED_CHROMIUM: shared };
}
