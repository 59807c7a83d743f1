/** Settings from the environment, resolved once. */
import { isAbsolute, join, resolve } from 'node:path';
import { isLoopback, isLoopbackName } from './access/addresses';

export interface Config {
  /** First port to try; a taken one gives the next, unless it is to be this one alone. */
  port: number;
  portAlone: boolean;
  host: string;
  dataDir: string;
  /** What an empty data folder is filled with: the demo studio, or typical shelves and nothing made yet. */
  start: 'demo' | 'own';
  /** A new studio is meant, although pictures of another one lie in the folder. */
  beginAnew: boolean;
  /** What lies in the data folder is moved aside first. */
  fresh: boolean;
  /** Where backups are kept: best on another disk. */
  backupsDir: string;
  /** Names that browsers may call this server by, beside loopback and the addresses it listens on. */
  names: string[];
  /** Whether what comes from this machine is taken for whoever sits at it. */
  trustsLoopback: boolean;
  /** Files of a certificate and its key: https instead of http. */
  tls: { cert: string; key: string } | null;
}

const DEFAULT_PORT = 4310;

/** words: what was said on the command's line. Throws where one was: the commands turn theirs into settings. */
export function configFrom(env: NodeJS.ProcessEnv, root: string, words: readonly string[] = []): Config {
  if (words.length > 0) {
    throw new Error(`The server takes settings and no words; got '${words.join(' ')}'. npm run demo -- --help lists what can be set.`);
  }
  const port = env.TORVIN_PORT === undefined ? DEFAULT_PORT : Number(env.TORVIN_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Error(`A port is a whole number from 1 to 65535; got '${env.TORVIN_PORT}'.`);
  }
  const start = env.TORVIN_START ?? 'demo';
  if (start !== 'demo' && start !== 'own') throw new Error(`TORVIN_START must be demo or own; got '${start}'.`);
  const data = env.TORVIN_DATA ?? 'data';
  const dataDir = isAbsolute(data) ? data : join(root, data);
  const names = (env.TORVIN_NAMES ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);
  const trust = env.TORVIN_TRUST_LOOPBACK;
  if (trust !== undefined && trust !== '0') throw new Error(`TORVIN_TRUST_LOOPBACK can be set to 0 only; got '${trust}'.`);
  const host = env.TORVIN_HOST ?? '127.0.0.1';
  const { TORVIN_CERT: cert, TORVIN_KEY: key } = env;
  if (Boolean(cert) !== Boolean(key))
    throw new Error('For https both are needed: TORVIN_CERT, the file of a certificate, and TORVIN_KEY, the file of its key.');
  return {
    port,
    portAlone: env.TORVIN_PORT_ALONE === '1',
    host,
    dataDir,
    backupsDir: env.TORVIN_BACKUPS ? resolve(root, env.TORVIN_BACKUPS) : join(dataDir, 'backups'),
    start,
    beginAnew: env.TORVIN_NEW === '1',
    fresh: env.TORVIN_FRESH === '1',
    names,
    // Where others may come, or it goes by further names, something may hand their requests on from this machine.
    trustsLoopback: trust === undefined && (isLoopback(host) || isLoopbackName(host)) && names.length === 0,
    tls: cert && key ? { cert: resolve(root, cert), key: resolve(root, key) } : null,
  };
}
