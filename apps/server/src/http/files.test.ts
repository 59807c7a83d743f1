/** A piece out to a file and in again. */
import { asVersion2 } from '../test/olderDatabase';
import { firingsOf } from '@torvin/core/piece';
import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { type Piece, type PieceFile, PieceFileSchema } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { eq } from 'drizzle-orm';
import { firings, loads, photos, pieces, records, schedules } from '../db/tables';
import { inOldWords } from '../test/oldWords';
import { NOW, type TestServer, anotherStudio, startTestServer } from '../test/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.stop());

async function filed(name: string): Promise<{ piece: Piece; file: PieceFile }> {
  const piece = await server.piece(name);
  const { body: file } = await server.ask('GET', `/api/pieces/${piece.id}/file`);
  return { piece, file };
}

const LARGE_CHARACTERS = process.env.LONG === '1' ? 12e6 : 4e6;

describe('a piece file', () => {
  test('has all that hangs on the piece, and is what its schema says', async () => {
    const { file } = await filed('Bird-bath basin');
    expect(PieceFileSchema.parse(file)).toEqual(file);
    expect(file.schedules).toHaveLength(2);
    expect(file.firings).toHaveLength(2);
    expect(file.shelves.glasses.map(({ id }) => id).sort()).toEqual(['samphire-90', 'slate-90']);
    expect(file.shelves.families.map(({ id }) => id)).toEqual(['soft-90']);
    expect([...file.shelves.kilns, ...file.shelves.controllers].map(({ id }) => id)).toEqual(['low-kiln', 'grey-box']);
    expect(file.shelves.releases.map(({ id }) => id)).toEqual(['shelf-primer']);
  });

  test('of before there were journeys is read in as the journey that it was, its schedules still its own', async () => {
    const { id } = await server.piece('Tray, smallest of three');
    const file = (await server.ask('GET', `/api/pieces/${id}/file`)).body as PieceFile;
    const { tags: _tags, finishedAt: _finished, ...piece } = file.piece;
    const older = { ...file, piece: { ...piece, doc: asVersion2(file.piece.doc) } };
    const { status, body } = await server.ask('POST', '/api/import', older);
    expect([status, body.outcome]).toEqual([200, 'copied']);
    const [laid, ...firings] = body.piece.doc.journey;
    expect(laid).toMatchObject({ kind: 'lay', side: 'above', layers: [{ glassId: 'samphire-90' }, { glassId: 'clear-90' }] });
    expect(firings.map(({ kind, look }: { kind: string; look: string }) => `${kind} ${look}`)).toEqual(['fire fullFuse', 'fire slump']);
    expect(firings.every(({ scheduleId }: { scheduleId: string | null }) => scheduleId !== null)).toBe(true);
    await server.ask('DELETE', `/api/pieces/${body.piece.id}`, { version: body.piece.version });
  });

  test('of a piece that was never fired is read in again', async () => {
    const { doc } = await server.piece('Plaque no. 14');
    const piece = { id: uuid(), name: 'Only laid', doc: { ...doc, journey: doc.journey.slice(0, 1) } };
    await server.ask('POST', '/api/pieces', piece);
    const file = (await server.ask('GET', `/api/pieces/${piece.id}/file`)).body;
    expect(file.firings).toEqual([]);
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: 1 });
    const { status, body } = await server.ask('POST', '/api/import', file);
    expect([status, body.outcome, body.piece.doc]).toEqual([200, 'restored', piece.doc]);
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: body.piece.version });
  });

  test('of a piece deleted with its firings brings back an equal one', async () => {
    const { piece, file } = await filed('Test tiles, clear');
    for (const { id } of file.firings) await server.ask('DELETE', `/api/firings/${id}`, { version: 1 });
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version });
    const { body } = await server.ask('POST', '/api/import', file);
    expect(body.outcome).toBe('restored');
    expect(body.piece.undo).toBe('read in from a file');
    expect((await filed('Test tiles, clear')).file).toEqual(file);
  });

  test('read into another studio brings its records along, and is equal when written out there', async () => {
    const { file } = await filed('Plaque no. 14');
    const text = JSON.stringify(file)
      .replaceAll('soft-90', 'their-family')
      .replaceAll('low-kiln', 'their-kiln')
      .replaceAll('harbour-90', 'their-blue')
      .replaceAll('clear-90', 'their-clear')
      .replaceAll('rose-90', 'their-rose');
    const renamed = JSON.parse(
      [file.piece.id, file.schedules[0].id, file.firings[0].id, file.firings[0].load?.id ?? ''].reduce((all, id) => all.replaceAll(id, uuid()), text),
    ) as PieceFile;
    renamed.piece.name = 'From elsewhere';
    expect((await server.ask('POST', '/api/import', renamed)).body.outcome).toBe('new');
    expect((await filed('From elsewhere')).file).toEqual(renamed);
    const { body: shelves } = await server.ask('GET', '/api/shelves');
    expect(shelves.families.some(({ id }: { id: string }) => id === 'their-family')).toBe(true);
  });

  test('whose kiln has an id that is a family here gives it another, the same when it is read in again', async () => {
    const { file } = await filed('Plaque no. 14');
    const text = JSON.stringify(file).replaceAll('low-kiln', 'soft-96');
    const ids = [file.piece.id, file.schedules[0].id, file.firings[0].id, file.firings[0].load?.id ?? ''];
    const elsewhere = JSON.parse(ids.reduce((all, id) => all.replaceAll(id, uuid()), text)) as PieceFile;
    elsewhere.piece.name = 'From elsewhere';
    const { body } = await server.ask('POST', '/api/import', elsewhere);
    expect(firingsOf(body.piece.doc).map(({ kilnId }: { kilnId: string }) => kilnId)).toEqual(firingsOf(elsewhere.piece.doc).map(() => 'soft-96-kiln'));
    const kilns = async (): Promise<string[]> => (await server.ask('GET', '/api/kilns')).body.map(({ id }: { id: string }) => id);
    expect(await kilns()).toContain('soft-96-kiln');
    const { file: out } = await filed('From elsewhere');
    expect(out.schedules.map(({ snapshot }) => snapshot.madeFrom?.kiln.id)).toEqual(out.schedules.map(() => 'soft-96-kiln'));
    expect(out.firings.every(({ load }) => load?.kilnId === 'soft-96-kiln')).toBe(true);
    const many = (await kilns()).length;
    expect((await server.ask('POST', '/api/import', elsewhere)).body.outcome).toBe('copied');
    expect(await kilns()).toHaveLength(many);
  });

  test('brings back a record that was deleted here, and leaves alone one that stands', async () => {
    const { piece, file } = await filed('Lamp panel, left');
    const [glass] = file.shelves.glasses;
    await server.ask('PUT', `/api/glasses/${glass.id}`, { ...glass, name: 'Called otherwise here' });
    const { opened } = server;
    opened.db.update(records).set({ deletedAt: NOW }).where(eq(records.id, file.shelves.kilns[0].id)).run();
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version });
    expect((await server.ask('POST', '/api/import', file)).body.outcome).toBe('restored');
    expect((await server.ask('GET', `/api/kilns/${file.shelves.kilns[0].id}`)).status).toBe(200);
    expect((await server.ask('GET', `/api/glasses/${glass.id}`)).body.name).toBe('Called otherwise here');
  });

  test('of a piece that is there still becomes a copy with ids of its own', async () => {
    const { piece, file } = await filed('Plaque no. 14');
    const { body } = await server.ask('POST', '/api/import', file);
    expect(body.outcome).toBe('copied');
    expect(body.piece.name).toBe('Plaque no. 14, copy');
    expect(body.piece.id).not.toBe(piece.id);
    const { file: copy } = await filed('Plaque no. 14, copy');
    expect(copy.schedules[0].result).toEqual(file.schedules[0].result);
    expect(copy.firings[0].note).toBe(file.firings[0].note);
    expect((await filed('Plaque no. 14')).file).toEqual(file);
  });

  test('with a firing that runs asks what becomes of it; taken in, it needs its kiln, left out, the Bench stays as it is', async () => {
    const { file } = await filed('Bird-bath basin');
    const open = file.firings.filter(({ result, load }) => result === null && load?.openedAt == null);
    expect(open).toHaveLength(1);
    const loadsNow = async () => (await server.ask('GET', '/api/loads')).body;
    const before = await loadsNow();
    const asked = await server.ask('POST', '/api/import', file);
    expect(asked).toMatchObject({ status: 409, body: { code: 'running', path: 'running' } });
    expect(asked.body.message).toMatch(/^A firing in this file has no result yet: in the kiln 'Low kiln[^']*' since \w{3} \d+ \w{3} \d{4}, \d\d:\d\d\./);
    expect(await server.ask('POST', '/api/import?running=in', file)).toMatchObject({ status: 409, body: { code: 'kiln-in-use' } });
    expect(await loadsNow()).toEqual(before);
    const left = await server.ask('POST', '/api/import?running=out', file);
    expect([left.status, left.body.outcome]).toEqual([200, 'copied']);
    expect((await server.ask('GET', `/api/firings?piece=${left.body.piece.id}`)).body.total).toBe(file.firings.length - 1);
    expect(await loadsNow()).toEqual(before);
    await server.ask('PUT', `/api/loads/${before[0].id}`, { version: before[0].version, openedAt: NOW });
    expect((await server.ask('POST', '/api/import?running=in', file)).status).toBe(200);
    expect((await loadsNow()).map(({ entries }: { entries: unknown[] }) => entries.length)).toEqual([1]);
    expect((await server.ask('POST', '/api/import?running=perhaps', file)).status).toBe(422);
  });

  test('carries its pictures into another studio, where they are served as they were', async () => {
    const { piece, file } = await filed('Plaque no. 14');
    const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#8fb5cf' } })
      .png()
      .toBuffer();
    const { hash } = (await (
      await fetch(`${server.base}/api/photos`, { method: 'POST', body: new Uint8Array(bytes), headers: { 'Content-Type': 'image/png' } })
    ).json()) as { hash: string };
    const [{ id, scheduleId: _schedule, createdAt: _created, asFiredResult: _result, load: _load, differences: _differences, accepted: _accepted, ...told }] =
      file.firings;
    expect((await server.ask('PUT', `/api/firings/${id}`, { ...told, photos: [hash], version: 1 })).status).toBe(200);
    const { file: withPicture } = await filed('Plaque no. 14');
    expect(withPicture.photos.map((photo) => photo.hash)).toEqual([hash]);
    const other = await startTestServer(anotherStudio());
    try {
      // A copy of the same studio: what is read in is new to it once all of it is erased.
      for (const table of [firings, schedules, pieces]) other.opened.db.delete(table).run();
      expect((await other.ask('POST', '/api/import', withPicture)).body.outcome).toBe('new');
      expect((await other.ask('GET', `/api/pieces/${piece.id}/file`)).body).toEqual(withPicture);
      const [here, there] = await Promise.all(
        [server, other].map(async ({ base }) => Buffer.from(await (await fetch(`${base}/api/photos/${hash}`)).arrayBuffer())),
      );
      expect(there.equals(here)).toBe(true);
      expect((await fetch(`${other.base}/api/photos/${hash}?size=small`)).status).toBe(200);
    } finally {
      await other.stop();
    }
  });

  test('of the first version is read in the words of today', async () => {
    const { file } = await filed('Plaque no. 14');
    const old = JSON.parse(inOldWords(JSON.stringify({ ...file, formatVersion: 1 }))) as { schedules: { result: { work: object } }[] };
    expect(old.schedules[0].result.work).toBeDefined();
    const { body } = await server.ask('POST', '/api/import', old);
    expect(body.outcome).toBe('copied');
    const { file: copy } = await filed((body.piece as Piece).name);
    const told = ({ schedules, firings }: PieceFile): object[] => [
      ...schedules.map(({ result, snapshot }) => ({ result, limits: snapshot.firing.limits })),
      ...firings.map(({ asFiredResult }) => ({ asFiredResult })),
    ];
    expect(told(copy)).toEqual(told(file));
  });

  test('of before pictures came along is still read', async () => {
    const { file } = await filed('Plaque no. 14');
    const { photos: _none, ...old } = file;
    expect((await server.ask('POST', '/api/import', old)).body.outcome).toBe('copied');
  });

  test('is refused where a picture in it is another than its name says, or tells of its camera', async () => {
    const { file } = await filed('Plaque no. 14');
    const named = (jpeg: Buffer) => ({ hash: createHash('sha256').update(jpeg).digest('hex'), jpeg: jpeg.toString('base64') });
    const plain = sharp({ create: { width: 60, height: 40, channels: 3, background: '#8fb5cf' } });
    const camera = named(
      await plain
        .clone()
        .withExif({ IFD3: { GPSLatitudeRef: 'N' } })
        .jpeg()
        .toBuffer(),
    );
    const large = named(await plain.clone().resize(1700, 40, { fit: 'fill' }).jpeg().toBuffer());
    for (const [photo, message] of [
      [{ ...camera, hash: '0'.repeat(64) }, /not the one it is named after/],
      [camera, /more than its pixels/],
      [large, /at most 1600 pixels/],
      [named(Buffer.from('no picture')), /no JPEG/],
    ] as const) {
      const { status, body } = await server.ask('POST', '/api/import', { ...file, photos: [photo] });
      expect({ status, path: body.path, message: body.message }).toEqual({ status: 422, path: 'photos.0', message: expect.stringMatching(message) as string });
    }
  });

  test('is not unpacked where it comes compressed, as nothing is', async () => {
    const { file } = await filed('Plaque no. 14');
    for (const path of ['/api/import', '/api/pieces', '/api/photos']) {
      const type = path === '/api/photos' ? 'image/png' : 'application/json';
      const answer = await fetch(server.base + path, {
        method: 'POST',
        body: new Uint8Array(gzipSync(JSON.stringify(file))),
        headers: { 'Content-Type': type, 'Content-Encoding': 'gzip' },
      });
      expect([path, answer.status, ((await answer.json()) as { code: string }).code]).toEqual([path, 415, 'compressed']);
    }
  });

  test.each([
    [
      'glass',
      (file: PieceFile) => ({ ...file, shelves: { ...file.shelves, glasses: [] } }),
      /^piece\.doc\.journey\.0\.layers\.\d\.glassId$/,
      /names the glass '[\w-]+', which is neither in the file/,
    ],
    [
      'family',
      (file: PieceFile) => ({ ...file, shelves: { ...file.shelves, families: [] } }),
      /^shelves\.glasses\.0\.familyId$/,
      /names the glass family 'of-elsewhere'/,
    ],
    ['kiln', (file: PieceFile) => ({ ...file, shelves: { ...file.shelves, kilns: [] } }), /^piece\.doc\.journey\.1\.kilnId$/, /names the kiln 'of-elsewhere'/],
  ])('that names a %s which nobody knows is refused, and nothing of it is in', async (_, damage, path, message) => {
    const { file } = await filed('Plaque no. 14');
    const [glass] = file.shelves.glasses;
    const foreign: PieceFile = JSON.parse(
      JSON.stringify(file).replaceAll(glass.id, `${glass.id}-far`).replaceAll('"soft-90"', '"of-elsewhere"').replaceAll('"low-kiln"', '"of-elsewhere"'),
    );
    const kept = (): unknown[] => [pieces, schedules, firings, loads, records, photos].map((table) => server.opened.db.select().from(table).all());
    const before = kept();
    const { status, body } = await server.ask('POST', '/api/import', damage(foreign));
    expect([status, body.path, body.message]).toEqual([422, expect.stringMatching(path), expect.stringMatching(message)]);
    expect(kept()).toEqual(before);
  });

  test('whose schedules or firings belong to another piece here is refused', async () => {
    const { piece, file } = await filed('Plaque no. 14');
    const stranger = JSON.parse(JSON.stringify(file).replaceAll(piece.id, uuid()));
    const { status, body } = await server.ask('POST', '/api/import', stranger);
    expect([status, body.path, body.message]).toEqual([422, 'schedules.0.id', expect.stringMatching(/belongs to another piece here/)]);
  });

  test('of many years lets others through while it is read in', async () => {
    const { file } = await filed('Plaque no. 14');
    const [schedule] = file.schedules;
    const many = Array.from({ length: Math.ceil(LARGE_CHARACTERS / JSON.stringify(schedule).length) }, () => ({ ...schedule, id: uuid() }));
    const large = JSON.stringify({ ...file, schedules: [...file.schedules, ...many] });
    expect(large.length).toBeGreaterThan(LARGE_CHARACTERS);
    // Twice, as it is copied: the second time every id in it is made anew.
    for (const outcome of ['copied', 'copied']) {
      let read = false;
      const reading = server.ask('POST', '/api/import', large).finally(() => (read = true));
      let between = 0;
      while (!read) {
        expect((await server.ask('GET', '/api/studio')).status).toBe(200);
        if (!read) between += 1;
      }
      const { status, body } = await reading;
      expect([status, body.outcome]).toEqual([200, outcome]);
      expect(between).toBeGreaterThan(5);
    }
  });

  test.each([
    ['another format', (file: PieceFile) => ({ ...file, format: 'something' }), 'format', /not a piece file/],
    ['a later format', (file: PieceFile) => ({ ...file, formatVersion: 9 }), 'formatVersion', /later format/],
    ['a firing of a schedule that is not in it', (file: PieceFile) => ({ ...file, schedules: [] }), 'firings.0.scheduleId', /not in it/],
    [
      'damaged segments',
      (file: PieceFile) => ({ ...file, schedules: [{ ...file.schedules[0], segments: [{ target_C: 'hot' }] }] }),
      'schedules.0.segments.0',
      /./,
    ],
  ])('with %s is refused and changes nothing', async (_, damage, path, message) => {
    const { file } = await filed('Plaque no. 14');
    const before = await server.pieces();
    const { status, body } = await server.ask('POST', '/api/import', damage(file));
    expect(status).toBe(422);
    expect(body.path.startsWith(path)).toBe(true);
    expect(body.message).toMatch(message);
    expect(await server.pieces()).toEqual(before);
  });
});
