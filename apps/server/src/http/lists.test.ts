/** Lists at ten years of a studio: pages, what a page weighs, what is searched, what waits. */
import type { Piece, FiringPage, FiringRow, PiecePage, PieceRow } from '@torvin/schema';
import { eq, sql } from 'drizzle-orm';
import { firings, pieces } from '../db/tables';
import { waitingPieces } from '../store/bench';
import { matching } from '../store/search';
import { tellWaiting } from '../store/waiting';
import { TEN_YEARS_COUNT, copyStudio } from '../test/fixtures';
import { NOW, type TestServer, startTestServer, temporaryFolder } from '../test/testServer';

jest.setTimeout(120_000);

let server: TestServer;
beforeAll(async () => {
  const dataDir = temporaryFolder();
  copyStudio('tenYears', dataDir);
  server = await startTestServer(dataDir);
});
afterAll(() => server.stop());

/** Every page of a list, to its end. */
async function all<T extends { next: string | null }>(path: string): Promise<T[]> {
  const pages: T[] = [];
  for (let after = ''; ;) {
    const { status, body } = await server.ask('GET', `${path}${path.includes('?') ? '&' : '?'}${after && `after=${after}`}`);
    expect([path, status]).toEqual([path, 200]);
    pages.push(body as T);
    if (body.next === null) return pages;
    after = encodeURIComponent(String(body.next));
  }
}

const found = async (text: string): Promise<string[]> =>
  (await all<PiecePage>(`/api/pieces?text=${encodeURIComponent(text)}`)).flatMap((page) => page.pieces.map(({ name }) => name));

test('every piece and every firing is on one page and only one, newest first', async () => {
  const pages = await all<PiecePage>('/api/pieces');
  const rows: PieceRow[] = pages.flatMap((page) => page.pieces);
  const kept = server.opened.db.select().from(pieces).all().length;
  expect(kept).toBeGreaterThan(TEN_YEARS_COUNT);
  expect([rows.length, new Set(rows.map(({ id }) => id)).size, pages[0].total]).toEqual([kept, kept, kept]);
  expect(rows.map(({ updatedAt }) => updatedAt)).toEqual(rows.map(({ updatedAt }) => updatedAt).sort((a, b) => b - a));
  const fired: FiringRow[] = (await all<FiringPage>('/api/firings')).flatMap((page) => page.firings);
  expect(new Set(fired.map(({ id }) => id)).size).toBe(server.opened.db.select().from(firings).all().length);
  expect(fired.every(({ note }) => note.length <= 160)).toBe(true);
});

test.each([
  ['name', ({ name }: PieceRow) => name.toLowerCase(), 1],
  ['made', ({ createdAt }: PieceRow) => createdAt, -1],
] as const)('ordered by %s every piece that is found comes once too, in that order', async (sort, of, way) => {
  // One name in six; all of them are paged through above.
  const rows = (await all<PiecePage>(`/api/pieces?text=harbour&sort=${sort}`)).flatMap((page) => page.pieces);
  const named = server.opened.db
    .select()
    .from(pieces)
    .where(sql`${pieces.name} like '%Harbour%'`)
    .all();
  expect(named.length).toBeGreaterThan(500);
  expect([rows.length, new Set(rows.map(({ id }) => id)).size]).toEqual([named.length, named.length]);
  rows.slice(1).forEach((row, i) => {
    const [was, is] = [of(rows[i]), of(row)];
    expect(way * (was < is ? -1 : was > is ? 1 : 0)).toBeLessThanOrEqual(0);
  });
});

test('what is filed is found by its tag, waits for nothing once it is finished, and is out of the lists once it is put away', async () => {
  const [one, other] = (await server.ask('GET', '/api/pieces?waits=yes')).body.pieces as PieceRow[];
  const file = (id: string, filing: object) => server.ask('PUT', `/api/pieces/${id}/filing`, { tags: [], finishedAt: null, awayAt: null, ...filing });
  const listed = async (query: string): Promise<string[]> => (await all<PiecePage>(`/api/pieces${query}`)).flatMap((page) => page.pieces.map(({ id }) => id));
  /** Whether a list has it, looked for by its name. */
  const lists = async (query: string, { id, name }: PieceRow): Promise<boolean> => (await listed(`?text=${encodeURIComponent(name)}${query}`)).includes(id);
  /** Whether it is among all that are there, newest change first: as far down as it would be. */
  const isThere = async ({ id, updatedAt: changed }: PieceRow): Promise<boolean> => {
    for (let after = ''; ;) {
      const { body } = await server.ask('GET', `/api/pieces?${after && `after=${after}`}`);
      const rows = body.pieces as PieceRow[];
      if (rows.some((row) => row.id === id)) return true;
      if (body.next === null || rows[rows.length - 1].updatedAt < changed) return false;
      after = encodeURIComponent(String(body.next));
    }
  };
  expect([await lists('&waits=yes', one), await lists('&waits=yes', other), await isThere(other)]).toEqual([true, true, true]);
  const { version, updatedAt } = one;
  const { body } = await file(one.id, { tags: ['for Ilse', 'Sea'], finishedAt: NOW });
  // It is no change of the piece: nothing that was based on it is stale.
  expect(body).toMatchObject({ tags: ['for Ilse', 'Sea'], finishedAt: NOW, awayAt: null, version, updatedAt });
  expect(await listed('?tag=for%20Ilse')).toEqual([one.id]);
  expect(((await server.ask('GET', '/api/pieces')).body as PiecePage).tags).toEqual(['for Ilse', 'Sea']);
  expect(await listed('?show=finished')).toEqual([one.id]);
  expect(await lists('&waits=yes', one)).toBe(false);
  await file(other.id, { awayAt: NOW });
  expect(await isThere(other)).toBe(false);
  expect(await listed('?show=away')).toEqual([other.id]);
  expect(await found(other.name)).toContain(other.name);
  expect(await lists('&waits=yes', other)).toBe(false);
  // A pattern is there to start others from: among the patterns, by its name, and nowhere that waits.
  await file(other.id, { patternAt: NOW });
  expect(await isThere(other)).toBe(false);
  expect(await listed('?show=patterns')).toEqual([other.id]);
  await file(other.id, { patternAt: NOW, awayAt: NOW });
  expect(await listed('?show=patterns')).toEqual([]);
  await file(other.id, { patternAt: NOW });
  expect(await found(other.name)).toContain(other.name);
  expect(await lists('&waits=yes', other)).toBe(false);
  for (const { id } of [one, other]) await file(id, {});
  expect([await lists('&waits=yes', one), await lists('&waits=yes', other)]).toEqual([true, true]);
  // A day to be done by is the piece's own, shown where it waits, and none that no calendar has.
  await file(one.id, { dueOn: '2026-12-24' });
  expect(((await server.ask('GET', `/api/pieces/${one.id}`)).body as Piece).dueOn).toBe('2026-12-24');
  expect((await server.ask('GET', `/api/pieces/${one.id}/file`)).body.piece.dueOn).toBe('2026-12-24');
  expect((await all<PiecePage>('/api/pieces')).flatMap(({ pieces }) => pieces).find(({ id }) => id === one.id)?.dueOn).toBe('2026-12-24');
  expect(await file(one.id, { dueOn: '2026-02-30' })).toMatchObject({ status: 422, body: { message: expect.stringContaining("'2026-02-30' is no day") } });
  await file(one.id, {});
  expect(((await server.ask('GET', `/api/pieces/${one.id}`)).body as Piece).dueOn).toBeNull();
  for (const tags of [['a', 'a'], [''], Array.from({ length: 13 }, (_, i) => String(i)), ['x'.repeat(31)]])
    expect((await file(one.id, { tags })).status).toBe(422);
  expect((await file('0198c5a2-0000-7000-8000-00000000dead', {})).status).toBe(404);
});

test('no answer that is a list weighs more than 100 kB', async () => {
  const { db } = server.opened;
  const [newest] = (await server.ask('GET', '/api/pieces')).body.pieces as PieceRow[];
  const paths = [
    '/api/pieces',
    '/api/pieces?waits=yes',
    '/api/pieces?text=tide',
    '/api/firings',
    '/api/firings?text=well',
    '/api/bench',
    '/api/loads',
    '/api/shelves',
  ];
  paths.push(`/api/pieces/${newest.id}/schedules`, `/api/firings?piece=${newest.id}`, '/api/backups', '/api/aside');
  // The most that may stand in kilns: of each load six entries are shown.
  db.update(firings)
    .set({ result: null, note: 'x'.repeat(4000) })
    .where(sql`${firings.id} in (select id from firings order by created_at desc limit 40)`)
    .run();
  for (const path of paths) {
    const { status, body } = await server.ask('GET', path);
    expect([path, status, JSON.stringify(body).length < 100_000]).toEqual([path, 200, true]);
  }
});

test.each([
  ['a beginning', 'harb', /^Harbour|Harbour/],
  ['without its dots', 'ahren', /Ährenkorb/],
  ['in capitals', 'TIDE', /Tide/],
  ['with a hyphen', 'bird-bath', /Bird-bath/],
  ['several in any order', 'schale tide', /(?=.*Schale)(?=.*Tide)/],
  ['a figure', '4711', /4711$/],
])('words are found by %s', async (_, text, name) => {
  const names = await found(text);
  expect(names.length).toBeGreaterThan(0);
  for (const one of names) expect(one).toMatch(name);
});

test('what stands for something in the index stands for itself when it is typed', async () => {
  for (const text of ['"', '"tide', 'tide"', '*', 'NEAR(', 'tide AND', 'words:tide', '-tide', '^tide', "'", '%', '\\']) {
    const { status } = await server.ask('GET', `/api/pieces?text=${encodeURIComponent(text)}`);
    expect([text, status]).toEqual([text, 200]);
  }
  expect(matching(server.opened.db, '... ,')).toBeNull();
  expect(matching(server.opened.db, 'a"b c')).toBe('"a"* AND "b"* AND "c"*');
  expect(await found('nobodycalledonethis')).toEqual([]);
});

test('a firing is found by the new name of its piece, and no longer by the old one', async () => {
  const { db } = server.opened;
  const total = async (text: string): Promise<number> => (await server.ask('GET', `/api/firings?text=${encodeURIComponent(text)}`)).body.total;
  const [piece] = (await server.ask('GET', '/api/pieces?text=ember')).body.pieces as PieceRow[];
  const whole = (await server.ask('GET', `/api/pieces/${piece.id}`)).body;
  expect(await total('Zwiebelturm')).toBe(0);
  await server.ask('PUT', `/api/pieces/${piece.id}`, { version: whole.version, name: 'Zwiebelturm', doc: whole.doc, what: 'name' });
  const byOldName = (await server.ask('GET', `/api/firings?text=${encodeURIComponent(piece.name)}`)).body.firings as FiringRow[];
  expect([await total('zwiebel'), (await found('zwiebel')).length, byOldName.map(({ pieceId }) => pieceId).includes(piece.id)]).toEqual([1, 1, false]);
  const [{ id, version, ...firing }] = (await server.ask('GET', '/api/firings?text=zwiebel')).body.firings as FiringRow[];
  const { body: detail } = await server.ask('GET', `/api/firings/${id}`);
  const { place, result, lookReached, photos, asFired, knownBy, firedAt, zone } = detail.firing;
  const told = { version, place, result: result ?? 'right', lookReached, photos, asFired, knownBy: knownBy || 'seen', firedAt, zone };
  expect((await server.ask('PUT', `/api/firings/${id}`, { ...told, note: 'devitrified' })).status).toBe(200);
  expect([await total('devitri'), firing.pieceName]).toEqual([1, 'Zwiebelturm']);
  expect((await server.ask('DELETE', `/api/firings/${id}`, { version: version + 1 })).status).toBe(200);
  db.delete(firings).where(eq(firings.id, id)).run();
  expect([await total('devitri'), await total('zwiebel')]).toEqual([0, 0]);
});

test('what waits is what follows from the firings, for every piece', async () => {
  const { db } = server.opened;
  const kept = db.select({ id: pieces.id, waits: pieces.waits }).from(pieces).all();
  const { waiting, waitingInAll } = waitingPieces(db);
  expect([waiting.length, waitingInAll]).toEqual([12, kept.filter(({ waits }) => waits !== null).length]);
  expect((await server.ask('GET', '/api/pieces?waits=yes')).body.total).toBe(waitingInAll);
  // As the test above put firings back into kilns without saying so, those are told anew.
  // One in five; all of them when it may take long.
  for (const { id } of kept.filter((_, i) => process.env.LONG === '1' || i % 5 === 0)) tellWaiting(db, id);
  const told = db.select({ id: pieces.id, waits: pieces.waits }).from(pieces).all();
  const inKiln = new Set(
    db
      .select({ id: firings.pieceId })
      .from(firings)
      .where(sql`${firings.result} is null`)
      .all()
      .map(({ id }) => id),
  );
  const changed = kept.filter(({ id, waits }, i) => waits !== told[i].waits && !inKiln.has(id));
  expect(changed).toEqual([]);
});

test.each([
  ['open firings', sql`select id from firings where result is null and deleted_at is null`, /firings_open/],
  ['firings of a piece', sql`select id from firings where piece_id = 'x'`, /firings_by_piece/],
  ['a page of pieces', sql`select id from pieces where deleted_at is null order by updated_at desc, id desc limit 51`, /pieces_by_change/],
  ['what waits', sql`select id from pieces where waits is not null order by updated_at desc limit 12`, /pieces_waiting/],
  ['deleted firings', sql`select count(*) from firings where deleted_at < 5`, /firings_deleted/],
])('%s are looked for by an index', (_, asked, index) => {
  const plan = server.opened.db.all<{ detail: string }>(sql`explain query plan ${asked}`);
  expect(plan.map(({ detail }) => detail).join('\n')).toMatch(index);
});
