/** In jsdom's own history, with a router that keeps its entries by id as ours does. */
import { type WayBack, makeWayBack } from './wayBack';

const open: string[] = [];
const heard: string[] = [];
let wayBack: WayBack;
let entries = 0;

const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
/** In many short waits: on a busy machine one long one ends before what was put off after it began has had its turns. */
const settled = async (): Promise<void> => {
  for (let turn = 0; turn < 25; turn += 1) await wait(10);
};
const here = (): string => location.pathname;
const goTo = (path: string): void => history.pushState({ id: `entry ${(entries += 1)}` }, '', path);
const back = (): Promise<void> => (history.back(), settled());
const forward = (): Promise<void> => (history.forward(), settled());
const show = (name: string): Promise<void> => (open.push(name), wayBack.settle(), settled());
const hide = (): Promise<void> => (open.pop(), wayBack.settle(), settled());

beforeAll(() => {
  wayBack = makeWayBack(
    window,
    () => open.length > 0,
    () => open.pop(),
  );
  window.addEventListener('popstate', () => heard.push(here()));
});

beforeEach(() => {
  open.length = 0;
  goTo('/pieces');
  goTo('/pieces/1');
  heard.length = 0;
});

test('Back closes what is open and nothing else; the router hears nothing of it', async () => {
  await show('sheet');
  await back();
  expect([open, here(), heard]).toEqual([[], '/pieces/1', []]);
  await back();
  expect([here(), heard]).toEqual(['/pieces', ['/pieces']]);
});

test('the last opened is closed first', async () => {
  await show('sheet');
  await show('waiting');
  await back();
  expect(open).toEqual(['sheet']);
  await back();
  expect([open, here()]).toEqual([[], '/pieces/1']);
  await back();
  expect(here()).toBe('/pieces');
});

test('closed by other means it costs no step, and Forward does not stay on one', async () => {
  await show('sheet');
  await hide();
  await forward();
  expect([here(), heard.filter((path) => path !== '/pieces/1')]).toEqual(['/pieces/1', []]);
  await back();
  expect(here()).toBe('/pieces');
});

test('one that gives way to the next at once keeps the step', async () => {
  await show('sheet');
  const length = history.length;
  open.pop();
  wayBack.settle();
  open.push('other sheet');
  wayBack.settle();
  await settled();
  expect(history.length).toBe(length);
  await back();
  expect([open, here()]).toEqual([[], '/pieces/1']);
});

test('opened again while the step of the one before is being removed, it has a step of its own', async () => {
  await show('sheet');
  open.pop();
  wayBack.settle();
  await new Promise((resolve) => setTimeout(resolve));
  await show('other sheet');
  await back();
  expect([open, here()]).toEqual([[], '/pieces/1']);
  await back();
  expect(here()).toBe('/pieces');
});

test('a page opened from under it: Back comes to the page, a further one to the page before; Forward goes all the way again', async () => {
  await show('sheet');
  goTo('/bench');
  await hide();
  expect(here()).toBe('/bench');
  await back();
  expect(here()).toBe('/pieces/1');
  await forward();
  expect(here()).toBe('/bench');
  await back();
  await show('sheet');
  goTo('/shelves');
  await hide();
  await back();
  expect(here()).toBe('/pieces/1');
  await back();
  expect(here()).toBe('/pieces');
});
