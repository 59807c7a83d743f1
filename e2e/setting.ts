/** A studio's server and a browser for one test file, ended with it. */
import type { Browser } from 'puppeteer-core';
import { Studio } from './server';
import { launch } from './visitor';

export interface Setting {
  studio: Studio;
  browser: Browser;
}

/** Registers the hooks; the browser is there once the tests run. */
export function setting(env: Record<string, string> = {}, ...browserWords: string[]): Setting {
  jest.setTimeout(300_000);
  const here = { studio: new Studio(env) } as Setting;
  beforeAll(async () => {
    await here.studio.start();
    here.browser = await launch(...browserWords);
  });
  afterAll(async () => {
    await here.browser.close();
    await here.studio.end();
  });
  return here;
}
