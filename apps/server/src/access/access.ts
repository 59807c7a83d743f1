/**
 * Who may come in from other devices: one passcode for the studio, and each device that has given it once. Both are kept in a file
 * of their own beside the database, so that no backup carries them and none that is put back lets anybody in or out.
 */
import { createHash, randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { plainPasscode } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { z } from 'zod';
import { NotFound } from '../store/failures';

const FILE = 'access.json';
/** The token as it is: whoever can read it can read all the rest of the folder. */
const TOKEN_FILE = 'own-token';
const OWN_NAME = 'The computer Torvin runs on';

const DeviceSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** SHA-256 of what its cookie holds, hexadecimal. */
  token: z.string(),
  /** ms since 1970, UTC; seenAt to the hour. */
  enteredAt: z.number(),
  seenAt: z.number(),
  /** Let in by the token of the machine itself. */
  own: z.boolean().optional(),
});
export type Device = z.infer<typeof DeviceSchema>;

const KeptSchema = z.object({ passcode: z.object({ salt: z.string(), hash: z.string() }).nullable(), devices: z.array(DeviceSchema) });
type Kept = z.infer<typeof KeptSchema>;

export interface Seen {
  device: Device;
  /** Not seen for an hour: what it shows should be made to last anew. */
  again: boolean;
}

export interface Access {
  /** Where the file was moved that could not be read, with its passcode and devices; else null. */
  readonly lost: string | null;
  hasPasscode(): boolean;
  /** Makes a passcode and answers it: the only time that anybody can. */
  makePasscode(): Promise<string>;
  /** Every other device has to enter anew. */
  changePasscode(passcode: string, stays: string | null): Promise<void>;
  isPasscode(passcode: string): Promise<boolean>;
  /** What the device is to show from now on; null where the passcode is another. */
  enter(passcode: string, name: string): Promise<string | null>;
  /** By which programs and browsers of the machine itself are known; it is made where there is none. */
  ownToken(): string;
  isOwnToken(token: string | undefined): boolean;
  /** What a browser of the machine itself is to show from now on. */
  enterOwn(): string;
  /** Whose it is that shows this; null where it is nobody's (any more). */
  deviceOf(token: string | undefined): Seen | null;
  devices(): readonly Device[];
  /** Throws NotFound. */
  end(id: string): void;
  /** Told of each device that is ended. */
  onEnd(listener: (id: string) => void): void;
}

/** Letters and digits that are not taken for one another when they are read off a screen. */
const ALPHABET = 'abcdefghjkmnpqrstuvwxyz23456789';
const MADE_LENGTH = 10;
const DEVICES_AT_MOST = 100;
const HOUR_MS = 3600e3;

const hashed = promisify(scrypt) as (passcode: string, salt: Buffer, bytes: number) => Promise<Buffer>;
const HASH_BYTES = 32;
const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

export function openAccess(dataDir: string, now: () => number = Date.now): Access {
  const path = join(dataDir, FILE);
  const listeners: ((id: string) => void)[] = [];
  let lost: string | null = null;
  let kept: Kept = { passcode: null, devices: [] };
  if (existsSync(path)) {
    try {
      kept = KeptSchema.parse(JSON.parse(readFileSync(path, 'utf8')));
    } catch {
      lost = `${path}.unreadable-${now()}`;
      renameSync(path, lost);
    }
  }

  function keep(next: Kept): void {
    writeFileSync(`${path}.part`, JSON.stringify(next), { mode: 0o600 });
    renameSync(`${path}.part`, path);
    kept = next;
  }

  async function take(passcode: string, devices: Device[]): Promise<void> {
    const salt = randomBytes(16);
    const hash = await hashed(plainPasscode(passcode), salt, HASH_BYTES);
    keep({ passcode: { salt: salt.toString('hex'), hash: hash.toString('hex') }, devices });
  }

  let own: string | null = null;
  function ownToken(): string {
    const tokenPath = join(dataDir, TOKEN_FILE);
    const there = existsSync(tokenPath) ? readFileSync(tokenPath, 'utf8').trim() : '';
    if (there !== '') return (own = there);
    own = randomBytes(32).toString('base64url');
    writeFileSync(tokenPath, `${own}\n`, { mode: 0o600 });
    return own;
  }

  async function isPasscode(passcode: string): Promise<boolean> {
    if (kept.passcode === null) return false;
    const { salt, hash } = kept.passcode;
    const said = await hashed(plainPasscode(passcode), Buffer.from(salt, 'hex'), HASH_BYTES);
    // It may have been changed while this was reckoned.
    return timingSafeEqual(said, Buffer.from(hash, 'hex')) && kept.passcode?.hash === hash;
  }

  /** What it shows from now on; of too many devices those go that were not seen for longest. */
  function taken(name: string, rights: Pick<Device, 'own'>): string {
    const token = randomBytes(32).toString('base64url');
    const at = now();
    const device = { id: uuid(), name, token: tokenHash(token), enteredAt: at, seenAt: at, ...rights };
    const latest = [device, ...kept.devices].sort((a, b) => b.seenAt - a.seenAt);
    keep({ ...kept, devices: latest.slice(0, DEVICES_AT_MOST) });
    ended(latest.slice(DEVICES_AT_MOST).map(({ id }) => id));
    return token;
  }

  const ended = (ids: readonly string[]): void => ids.forEach((id) => listeners.forEach((listener) => listener(id)));

  return {
    get lost() {
      return lost;
    },
    hasPasscode: () => kept.passcode !== null,
    async makePasscode() {
      const letters = Array.from({ length: MADE_LENGTH }, () => ALPHABET[randomInt(ALPHABET.length)]).join('');
      await take(letters, kept.devices);
      return `${letters.slice(0, MADE_LENGTH / 2)}-${letters.slice(MADE_LENGTH / 2)}`;
    },
    async changePasscode(passcode, stays) {
      const [staying, going] = [kept.devices.filter(({ id }) => id === stays), kept.devices.filter(({ id }) => id !== stays)];
      await take(passcode, staying);
      ended(going.map(({ id }) => id));
    },
    isPasscode,
    enter: async (passcode, name) => ((await isPasscode(passcode)) ? taken(name, {}) : null),
    ownToken,
    isOwnToken: (token) => own !== null && token !== undefined && timingSafeEqual(Buffer.from(tokenHash(token)), Buffer.from(tokenHash(own))),
    enterOwn: () => taken(OWN_NAME, { own: true }),
    deviceOf(token) {
      const asked = token === undefined ? null : tokenHash(token);
      const found = kept.devices.find((device) => device.token === asked);
      if (!found) return null;
      if (now() - found.seenAt < HOUR_MS) return { device: found, again: false };
      const seen = { ...found, seenAt: now() };
      const next = { ...kept, devices: kept.devices.map((device) => (device === found ? seen : device)) };
      try {
        keep(next);
      } catch {
        // A full disk keeps nobody out.
        kept = next;
      }
      return { device: seen, again: true };
    },
    devices: () => kept.devices,
    end(id) {
      if (!kept.devices.some((device) => device.id === id)) throw new NotFound('device', id);
      keep({ ...kept, devices: kept.devices.filter((device) => device.id !== id) });
      ended([id]);
    },
    onEnd: (listener) => void listeners.push(listener),
  };
}
