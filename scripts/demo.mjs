/**
 * npm run demo: everything from nothing to the demo studio in the browser. --fresh moves the old data aside; --own starts a
 * studio of one's own instead, with typical shelves and nothing made yet, in a folder of its own; --new begins a new studio
 * although pictures of another one lie in the folder; --port is the port and no other; --lan listens to the studio's network too. npm run studio is --own --lan.
 */
import { ASKS, build, install, say, startServer, words } from './lib.mjs';

const said = words(
  `npm run demo [-- words]: Torvin with its demo studio, in the browser
npm run studio [-- words]: your own, also for phones in the same network (--own --lan)

  --fresh   moves the data aside (never erases it) and starts over
  --own     a studio of your own instead: typical shelves, nothing made yet; its data lies in 'studio'
  --lan     other devices in the same network may open it too; each is asked once for a passcode
  --new     begins a new studio although pictures of another one lie in the folder
  --port    the port to use, and no other: --port 8080

Settings: TORVIN_DATA is the data folder, TORVIN_PORT the first port to try; TORVIN_CERT and
TORVIN_KEY name a certificate and its key, for https.`,
  { port: { type: 'string' }, fresh: { type: 'boolean' }, own: { type: 'boolean' }, lan: { type: 'boolean' }, new: { type: 'boolean' } },
);
await install();
await build();

const { own = false } = said;
const data = process.env.TORVIN_DATA ?? (own ? 'studio' : 'data');

/** Starts the server. Where it ends with a question and somebody sits there, the question is asked. */
async function start(beginAnew) {
  const { child, address } = startServer({
    TORVIN_DATA: data,
    ...(own ? { TORVIN_START: 'own' } : {}),
    ...(said.lan && !process.env.TORVIN_HOST ? { TORVIN_HOST: '0.0.0.0' } : {}),
    ...(said.port === undefined ? {} : { TORVIN_PORT: said.port, TORVIN_PORT_ALONE: '1' }),
    ...(beginAnew ? { TORVIN_NEW: '1' } : {}),
    ...(said.fresh ? { TORVIN_FRESH: '1' } : {}),
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => child.kill(signal));
  const code = await Promise.race([address.then(() => null), new Promise((resolve) => child.once('exit', resolve))]).catch(() => child.exitCode);
  if (code === null) {
    child.on('exit', (ended) => process.exit(ended ?? 0));
    say('Stop it with Ctrl+C; it keeps what you change.');
  } else if (code === ASKS && process.stdin.isTTY && (await confirmed('Begin a new studio there? (y/n) '))) await start(true);
  else process.exit(code ?? 1);
}

async function confirmed(question) {
  const { createInterface } = await import('node:readline/promises');
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await lines.question(question);
  lines.close();
  return /^y/i.test(answer.trim());
}

await start(said.new ?? false);
