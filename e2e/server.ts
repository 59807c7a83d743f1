/** The built server on a data folder of its own, to be stopped and started again. */
import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Piece, PiecePage } from '@torvin/schema';

/** Tests and benchmarks are started at the root of the project. */
export const ROOT = process.cwd();

export interface RunningServer {
  address: string;
  child: ChildProcess;
  stop(): Promise<void>;
  /** All that it has printed. */
  heard(): string;
}

/** Starts a command that prints an address; resolves once it has. */
export function startAndListen(args: string[], env: Record<string, string>): Promise<RunningServer> {
  const child = spawn(process.execPath, args, { cwd: ROOT, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'inherit'] });
  let heard = '';
  const stop = (): Promise<void> =>
    new Promise((resolve) => {
      if (child.exitCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
    });
  return new Promise((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`It ended with ${code} before it was up: ${heard}`)));
    child.stdout?.on('data', (chunk: Buffer) => {
      heard += chunk.toString();
      const match = /(https?:\/\/\S+)/.exec(heard);
      if (match) resolve({ address: match[1], child, stop, heard: () => heard });
    });
  });
}

/** All pieces with their documents, newest change first. token: what the start has printed, where this machine has to show one. */
export async function wholePieces(address: string, token?: string): Promise<Piece[]> {
  const headers: Record<string, string> = token === undefined ? {} : { Authorization: `Bearer ${token}` };
  const { pieces } = (await (await fetch(`${address}/api/pieces`, { headers })).json()) as PiecePage;
  return Promise.all(pieces.map(async ({ id }) => (await (await fetch(`${address}/api/pieces/${id}`, { headers })).json()) as Piece));
}

/** The link that a start has printed for a browser on its own machine, and the token in it. */
export function ownLink(heard: string): { link: string; token: string } {
  const [link, token] = /https?:\S+\/api\/access\/link\?token=([\w-]+)/.exec(heard) ?? [];
  if (link === undefined) throw new Error(`No link was printed: ${heard}`);
  return { link, token };
}

export class Studio {
  readonly dataDir = mkdtempSync(join(tmpdir(), 'torvin-e2e-'));
  private server: RunningServer | null = null;

  /** Begins as the demo studio that was seeded once, where nothing else is said of how it starts. program: where the built server and app lie; another folder for another version of them. */
  constructor(
    private readonly env: Record<string, string> = {},
    public program = ROOT,
  ) {
    const seeded = process.env.TORVIN_SEEDED;
    if (seeded && program === ROOT && env.TORVIN_START === undefined) cpSync(seeded, this.dataDir, { recursive: true });
  }

  /** Each worker has ports of its own: while a server is stopped on purpose, no other test's takes its place. */
  private port = String(20000 + 2000 * Number(process.env.JEST_WORKER_ID ?? 0) + (process.pid % 1500));
  private started = false;

  get address(): string {
    if (!this.server) throw new Error('The server is not running.');
    return this.server.address;
  }

  /** All that it has printed since it was started. */
  heard = (): string => this.server?.heard() ?? '';

  async start(): Promise<void> {
    this.server = await startAndListen([join(this.program, 'dist/server/main.mjs')], { TORVIN_DATA: this.dataDir, TORVIN_PORT: this.port, ...this.env });
    const { port } = new URL(this.server.address);
    if (this.started && port !== this.port) throw new Error(`The server came back on ${port} instead of ${this.port}: something took its place.`);
    this.port = port;
    this.started = true;
  }

  /** As a power cut would. */
  async kill(): Promise<void> {
    const child = this.server?.child;
    await new Promise((resolve) => {
      child?.once('exit', resolve);
      child?.kill('SIGKILL');
    });
    this.server = null;
  }

  async stop(): Promise<void> {
    await this.server?.stop();
    this.server = null;
  }

  /** Away meanwhile: every request fails. */
  async away(during: () => Promise<void>): Promise<void> {
    await this.stop();
    try {
      await during();
    } finally {
      await this.start();
    }
  }

  async end(): Promise<void> {
    await this.stop();
    rmSync(this.dataDir, { recursive: true, force: true });
  }
}
