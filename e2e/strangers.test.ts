/** Pages of strangers, open in the same browser, against a studio on this machine. */
import { type Server, createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Browser } from 'puppeteer-core';
import { setting } from './setting';
import { PHONE, Visitor, launch } from './visitor';

const { studio } = setting();
/** A name that a stranger's name server has just sent to this machine. */
const REBOUND = 'studio.example';
let browser: Browser;
let elsewhere: Server;
let foreign: string;

beforeAll(async () => {
  browser = await launch(`--host-resolver-rules=MAP ${REBOUND} 127.0.0.1, MAP elsewhere.example 127.0.0.1`);
  elsewhere = createServer((_request, response) => response.setHeader('Content-Type', 'text/html').end('<title>elsewhere</title>'));
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', () => resolve()));
  foreign = `http://elsewhere.example:${(elsewhere.address() as AddressInfo).port}/`;
});
afterAll(async () => {
  await browser.close();
  elsewhere.closeAllConnections();
  elsewhere.close();
});

const theme = async (): Promise<string> => ((await (await fetch(`${studio.address}/api/studio`)).json()) as { theme: string }).theme;

test('a foreign name that leads to this machine reads nothing and changes nothing', async () => {
  const page = await browser.newPage();
  const answer = await page.goto(`http://${REBOUND}:${new URL(studio.address).port}/`);
  expect(answer?.status()).toBe(421);
  const seen = await page.evaluate(async () => {
    const read = await fetch('/api/pieces');
    const body = JSON.stringify({ temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz', theme: 'dark' });
    const saved = await fetch('/api/studio', { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body });
    return { read: read.status, text: await read.text(), saved: saved.status };
  });
  expect(seen).toMatchObject({ read: 421, saved: 421 });
  expect(seen.text).not.toMatch(/Plaque/);
  expect(await theme()).toBe('system');
  await page.close();
});

test("a stranger's page neither posts nor reads, by script or by form", async () => {
  const page = await browser.newPage();
  await page.goto(foreign);
  const outcome = await page.evaluate(async (address) => {
    const tried = async (init: RequestInit, path: string): Promise<string> => {
      try {
        const response = await fetch(address + path, init);
        return `${response.type} ${response.status}`;
      } catch {
        return 'refused';
      }
    };
    const settings = JSON.stringify({ temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz', theme: 'dark' });
    return {
      read: await tried({}, '/api/pieces'),
      save: await tried({ method: 'PUT', body: settings, headers: { 'Content-Type': 'application/json' } }, '/api/studio'),
      post: await tried({ method: 'POST', body: 'x', headers: { 'Content-Type': 'text/plain' }, mode: 'no-cors' }, '/api/photos'),
    };
  }, studio.address);
  expect(outcome).toMatchObject({ read: 'refused', save: 'refused' });
  expect(await theme()).toBe('system');
  // A post without asking is sent by the browser all the same; it is the server that refuses it.
  const [form] = await Promise.all([
    page.waitForResponse((response) => response.url().endsWith('/api/pieces')),
    page.evaluate((address) => {
      const made = document.createElement('form');
      made.method = 'post';
      made.action = `${address}/api/pieces`;
      made.enctype = 'text/plain';
      document.body.append(made);
      made.submit();
    }, studio.address),
  ]);
  expect(form.status()).toBe(403);
  await page.close();
});

test("a stranger's page cannot frame the app", async () => {
  const page = await browser.newPage();
  await page.goto(foreign);
  await page.evaluate(
    (address) =>
      new Promise((resolve) => {
        const frame = document.createElement('iframe');
        // What is refused loads too: the browser's page that says so.
        frame.onload = resolve;
        frame.src = address;
        document.body.append(frame);
      }),
    studio.address,
  );
  const inside = page.frames().find((frame) => frame !== page.mainFrame());
  expect(await inside?.evaluate(() => document.querySelector('#root') !== null).catch(() => false)).not.toBe(true);
  await page.close();
});

test('its own page works under its policy, engine and pictures too, and nothing is reported', async () => {
  const me = await Visitor.open(browser, PHONE);
  await me.page.goto(`${studio.address}/pieces`);
  await me.openPiece('Plaque no. 14');
  await me.sees('fold-fits', /Fits/);
  await me.page.goto(`${studio.address}/notebook`);
  await me.find('firing-link');
  await me.expectSound('the Notebook under its policy');
  await me.page.close();
});
