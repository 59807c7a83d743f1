import { storedKeys } from '@/outside/storage';
import { DRAFTS_KEPT_MS, forgetOldDrafts } from './drafts';
import { Keeper } from './kept';
import type { Entry } from './outbox';

const entry = (id: string): Entry => ({ id, name: 'saveStudio', variables: { theme: id }, on: null });
const ids = (entries: readonly Entry[]): string[] => entries.map(({ id }) => id);
/** As a tab that the browser opens: it has no name yet. */
function openTab(): Keeper {
  sessionStorage.clear();
  return new Keeper();
}
const SECOND_MS = 1000;
const later = (ms: number): Date => jest.setSystemTime(Date.now() + ms) as unknown as Date;

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

describe('what waits', () => {
  test('is taken up by its tab when that is reloaded, once', () => {
    new Keeper().keep([entry('a'), entry('b')], true);
    const reloaded = new Keeper();
    expect(ids(reloaded.takeUp())).toEqual(['a', 'b']);
    expect(reloaded.takeUp()).toEqual([]);
  });

  test('of a tab that was left is taken by another only when it was not reloaded', () => {
    openTab().keep([entry('a')], true);
    const other = openTab();
    later(10 * SECOND_MS);
    expect(other.takeUp()).toEqual([]);
    later(1);
    expect(ids(other.takeUp())).toEqual(['a']);
  });

  test('of a tab that never said that it went is taken when it has been silent for longer than one in the dark', () => {
    openTab().keep([entry('a')], false);
    const other = openTab();
    later(150 * SECOND_MS);
    expect(other.takeUp()).toEqual([]);
    later(1);
    expect(ids(other.takeUp())).toEqual(['a']);
  });

  test('is never taken from oneself, and nothing is kept of nothing', () => {
    const own = openTab();
    own.keep([entry('a')], false);
    later(3600 * SECOND_MS);
    expect(own.takeUp()).toEqual([]);
    own.keep([], false);
    expect(storedKeys('torvin-outbox:')).toEqual([]);
  });

  test('of several tabs comes in the order of their last words', () => {
    openTab().keep([entry('a')], true);
    later(1);
    openTab().keep([entry('b')], true);
    later(60 * SECOND_MS);
    expect(ids(openTab().takeUp())).toEqual(['a', 'b']);
  });

  test('of a duplicated tab goes under a name of its own', () => {
    const one = openTab();
    one.keep([entry('a')], false);
    const [key] = storedKeys('torvin-outbox:');
    later(1);
    const written = JSON.stringify({ at: Date.now(), entries: [] });
    expect(one.isTaken(key, written)).toBe(true);
    expect(one.isTaken(key, null)).toBe(false);
    expect(one.isTaken('torvin-outbox:other', written)).toBe(false);
    one.rename();
    expect(one.isTaken(key, written)).toBe(false);
    expect(storedKeys('torvin-outbox:')).toHaveLength(2);
  });

  test('of a tab that was reloaded stays under its name, however late it is told of what the page before wrote', () => {
    const before = openTab();
    before.keep([entry('a')], true);
    const [key] = storedKeys('torvin-outbox:');
    const written = localStorage.getItem(key);
    later(1);
    const reloaded = new Keeper();
    reloaded.keep(reloaded.takeUp(), false);
    later(5 * SECOND_MS);
    expect(reloaded.isTaken(key, written)).toBe(false);
    // Once its save has gone nothing is left of it.
    reloaded.keep([], false);
    expect(storedKeys('torvin-outbox:')).toEqual([]);
  });

  test('that a full or unreadable storage cannot hold is told of', () => {
    const tab = openTab();
    localStorage.setItem('torvin-outbox:broken', '{"at":');
    expect(tab.takeUp()).toEqual([]);
    jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    expect(tab.keep([entry('a')], false)).toBe(false);
    expect(tab.keep([], false)).toBe(true);
  });
});

describe('what a page of the version before left', () => {
  const mutation = (name: string, variables: object): object => ({ mutationKey: [name], state: { variables } });

  test('is taken up: of its own tab at once, of another when that is gone, what was refused to be refused anew', () => {
    sessionStorage.setItem('torvin-tab', '"mine"');
    const doc = { layers: [] };
    localStorage.setItem(
      'torvin-kept:mine',
      JSON.stringify({
        at: Date.now(),
        mutations: [
          mutation('savePiece', { id: 'p', body: { name: 'Tray', doc, what: 'x', version: 4 } }),
          mutation('saveSchedule', { id: 'p', body: { id: 's', stepId: 't', pieceVersion: 5, segments: [] } }),
          mutation('recordFiring', { id: 'f', note: 'n' }),
        ],
      }),
    );
    localStorage.setItem('torvin-kept:other', JSON.stringify({ at: Date.now(), mutations: [mutation('saveStudio', { theme: 'dark' })] }));
    localStorage.setItem(
      'torvin-refused',
      JSON.stringify([
        { id: 'r', name: 'saveRecord', variables: { kind: 'kilns', record: { id: 'k', version: 7 } }, problem: {}, currentVersion: 9 },
        { id: 'q', name: 'saveFiring', variables: { id: 'f', body: { note: 'n', version: 2 } }, problem: {}, currentVersion: 3 },
      ]),
    );
    const tab = new Keeper();
    const taken = tab.takeUp();
    expect(taken.map(({ name, variables, on }) => ({ name, variables, on }))).toEqual([
      { name: 'saveRecord', variables: { kind: 'kilns', record: { id: 'k', version: 7 }, before: null }, on: 7 },
      { name: 'saveFiring', variables: { id: 'f', body: { note: 'n' }, before: null }, on: 2 },
      { name: 'savePiece', variables: { id: 'p', name: 'Tray', doc, what: 'x', before: null }, on: 4 },
      { name: 'saveSchedule', variables: { pieceId: 'p', id: 's', stepId: 't', segments: [] }, on: 5 },
      { name: 'recordFiring', variables: { id: 'f', note: 'n' }, on: null },
    ]);
    expect(taken.every(({ refused }) => refused === undefined)).toBe(true);
    later(21 * SECOND_MS);
    expect(ids(tab.takeUp())).toHaveLength(1);
    expect(Object.keys(localStorage)).toEqual([]);
  });
});

test('drafts are kept for a month', () => {
  localStorage.setItem('torvin-draft:a', JSON.stringify({ at: Date.now(), values: {} }));
  localStorage.setItem('torvin-draft:unreadable', '{');
  forgetOldDrafts(Date.now() + DRAFTS_KEPT_MS);
  expect(storedKeys('torvin-draft:')).toEqual(['torvin-draft:a']);
  forgetOldDrafts(Date.now() + DRAFTS_KEPT_MS + 1);
  expect(storedKeys('torvin-draft:')).toEqual([]);
});
