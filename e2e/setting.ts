/** A studio's server and a browser context for one test file, ended with it. */
import { type Browser, type BrowserContext, connect } from 'puppeteer-core';
import { Studio } from './server';
import { launch } from './visitor';

export interface Setting {
  studio: Studio;
  browser: BrowserContext;
}

/** A word that every Chromium is given anyway: a whole one of its own, with what the shared one may lack, such as notifications. */
export const OWN_CHROMIUM = '--no-first-run';

/** Registers the hooks; the browser is there once the tests run. browserWords: for a Chromium of its own. */
export function setting(env: Record<string, string> = {}, ...browserWords: string[]): Setting {
  jest.setTimeout(300_000);
  const here = { studio: new Studio(env) } as Setting;
  let own: Browser | null = null;
  let shared: Browser | null = null;
  beforeAll(async () => {
    await here.studio.start();
    const endpoint = process.env.TORVIN_BROWSER;
    own = browserWords.length > 0 || !endpoint ? await launch(...browserWords) : null;
    shared = own ? null : await connect({ browserWSEndpoint: endpoint });
    here.browser = own ? own.defaultBrowserContext() : await (shared as Browser).createBrowserContext();
    // Keeps the process of this site, in which the app has been read once: every page after that opens in two thirds of the time.
    const parked = await here.browser.newPage();
    await parked.goto(`${here.studio.address}/mark.svg`);
  });
  afterAll(async () => {
    if (own) await own.close();
    else {
      await here.browser.close();
      await shared?.disconnect();
    }
    await here.studio.end();
  });
  return here;
}
