/** Settings from the environment, resolved once. */
import { isAbsolute, join } from 'node:path';

export interface Config {
  /** First port to try; a taken one gives the next. */
  port: number;
  host: string;
  dataDir: string;
  /** What an empty data folder is filled with: the demo studio, or typical shelves and nothing made yet. */
  start: 'demo' | 'own';
  /** A new studio is meant, although pictures of another one lie in the folder. */
  beginAnew: boolean;
  /** What lies in the data folder is moved aside first. */
  fresh: boolean;
  /** Names that browsers may call this server by, beside loopback and the addresses it listens on. */
  names: string[];
}

const DEFAULT_PORT = 4310;

export function configFrom(env: NodeJS.ProcessEnv, root: string): Config {
  const port = env.TORVIN_PORT === undefined ? DEFAULT_PORT : Number(env.TORVIN_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    throw new Error(`TORVIN_PORT must be a port from 1 to 65535; got '${env.TORVIN_PORT}'.`);
  }
  const start = env.TORVIN_START ?? 'demo';
  if (start !== 'demo' && start !== 'own') throw new Error(`TORVIN_START must be demo or own; got '${start}'.`);
  const data = env.TORVIN_DATA ?? 'data';
  const names = (env.TORVIN_NAMES ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);
  return {
    port,
    host: env.TORVIN_HOST ?? '127.0.0.1',
    dataDir: isAbsolute(data) ? data : join(root, data),
    start,
    beginAnew: env.TORVIN_NEW === '1',
    fresh: env.TORVIN_FRESH === '1',
    names,
  };
}
