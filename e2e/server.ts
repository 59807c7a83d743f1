/** The built server on a data folder of its own, to be stopped and started again. */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Tests and benchmarks are started at the root of the project. */
export const ROOT = process.cwd();

export interface RunningServer {
  address: string;
  child: ChildProcess;
  stop(): Promise<void>;
}

/** Starts a command that prints an address; resolves once it has. */
export function startAndListen(args: string[], env: Record<string, string>): Promise<RunningServer & { heard(): string }> {
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
      const match = /(http:\/\/\S+)/.exec(heard);
      if (match) resolve({ address: match[1], child, stop, heard: () => heard });
    });
  });
}

export class Studio {
  readonly dataDir = mkdtempSync(join(tmpdir(), 'torvin-e2e-'));
  private server: RunningServer | null = null;

  constructor(private readonly env: Record<string, string> = {}) {}

  /** Each worker has ports of its own: while a server is stopped on purpose, no other test's takes its place. */
  private port = String(20000 + 2000 * Number(process.env.JEST_WORKER_ID ?? 0) + (process.pid % 1500));
  private started = false;

  get address(): string {
    if (!this.server) throw new Error('The server is not running.');
    return this.server.address;
  }

  async start(): Promise<void> {
    this.server = await startAndListen([join(ROOT, 'dist/server/main.mjs')], { TORVIN_DATA: this.dataDir, TORVIN_PORT: this.port, ...this.env });
    const { port } = new URL(this.server.address);
    if (this.started && port !== this.port) throw new Error(`The server came back on ${port} instead of ${this.port}: something took its place.`);
    this.port = port;
    this.started = true;
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
