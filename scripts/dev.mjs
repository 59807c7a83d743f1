/**
 * npm run dev: the server starts again whenever a source of its own is saved, the web app draws itself again, types are checked
 * behind both. --fresh moves the data aside first; it has a folder of its own, data-dev.
 */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { EXPO_ENV, install, root, routeTypes, say, startServer, tool, watchServer, words } from './lib.mjs';

const DATA = process.env.TORVIN_DATA ?? 'data-dev';
const OUT = 'dist/dev';

let { fresh = false } = words('npm run dev [-- --fresh]: the demo studio in data-dev, started again and drawn again on every save', {
  fresh: { type: 'boolean' },
});
await install();
await routeTypes();

const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
const port = await freePort();

let server = null;
let restarting = Promise.resolve();

/** One server at a time: the next starts once the last has let go of the database. */
function restart() {
  restarting = restarting.then(async () => {
    if (server && server.exitCode === null) {
      const ended = new Promise((resolve) => server.once('exit', resolve));
      server.kill('SIGTERM');
      await ended;
    }
    const { child, address } = startServer(
      { TORVIN_DATA: DATA, TORVIN_PORT: String(port), ...(fresh ? { TORVIN_FRESH: '1' } : {}) },
      { quiet: true, from: OUT },
    );
    fresh = false;
    server = child;
    await address.then(() => say('The server is up.')).catch((error) => say(`${error.message} It starts again when a source is saved.`));
  });
}

await watchServer(OUT, restart);
await restarting;

const beside = [];
function start(name, args, env = {}, cwd = root) {
  const child = spawn(...tool(name, args), { cwd, env: { ...process.env, ...env }, stdio: ['ignore', 'inherit', 'inherit'] });
  beside.push(child);
  return child;
}
start('tsc', ['-p', '.', '--watch', '--preserveWatchOutput', '--incremental', '--tsBuildInfoFile', 'node_modules/.cache/torvin/dev.tsbuildinfo']);
const bundler = start(
  'expo',
  ['start', '--web', '--port', process.env.PORT ?? '8081'],
  { ...EXPO_ENV, TORVIN_API: `http://127.0.0.1:${port}`, BROWSER: 'none' },
  join(root, 'apps/web'),
);

function end(code) {
  for (const child of [server, ...beside]) child?.kill('SIGTERM');
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => end(0));
bundler.once('exit', (code) => {
  say('The bundler has ended, and with it all that was started.');
  end(code ?? 1);
});
