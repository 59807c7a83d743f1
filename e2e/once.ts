/** What all browser test files share, made once before the first: a demo studio to copy, and a Chromium to connect to. */
import { rmSync } from 'node:fs';
import type { Browser } from 'puppeteer-core';
import { Studio } from './server';
import { launchShared } from './visitor';

const shared: { browser: Browser | null; folder: string | null } = { browser: null, folder: null };

export default async function makeOnce(): Promise<void> {
  const studio = new Studio();
  await studio.start();
  await studio.stop();
  shared.folder = process.env.TORVIN_SEEDED = studio.dataDir;
  shared.browser = await launchShared();
  process.env.TORVIN_BROWSER = shared.browser.wsEndpoint();
  Object.assign(globalThis, { torvinEnd: end });
}

async function end(): Promise<void> {
  await shared.browser?.close();
  if (shared.folder) rmSync(shared.folder, { recursive: true, force: true });
}
