/** How SQLite goes about what the lists of ten years ask: by an index, not through all rows. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Opened, openDatabase } from '../opening/open';
import { copyStudio } from '../test/fixtures';
import { firingsInKiln, waitingPieces } from './bench';
import { find } from './find';
import { listFirings } from './firings';
import { loadsShown } from './loads';
import { listPieces } from './pieces';
import { seenFirings } from './seen';
import { sessionOf } from './shelfRows';

let dir: string;
let open: Opened;
beforeAll(() => {
  dir = mkdtempSync(join(tmpdir(), 'torvin-plans-'));
  copyStudio('tenYears', dir);
  open = openDatabase(dir, join(process.cwd(), 'apps/server/src/db/migrations'));
});
afterAll(async () => {
  await open.closeWhole();
  rmSync(dir, { recursive: true, force: true });
});

/** Tables of which a studio of ten years has thousands of rows. */
const LONG = 'pieces|piece_states|firings|loads|schedules|snapshots|search_keys';

/** What of a question goes through a long table from end to end, row by row. */
function scansOf(ask: () => unknown): string[] {
  const { client } = sessionOf(open.db);
  const asked = new Set<string>();
  const spy = jest.spyOn(client, 'prepare');
  try {
    ask();
    for (const [sql] of spy.mock.calls) if (/^\s*(select|with)/i.test(sql)) asked.add(sql);
  } finally {
    spy.mockRestore();
  }
  return [...asked].flatMap((sql) => {
    const plan = client.prepare(`explain query plan ${sql.replaceAll('?', "''")}`).all() as { detail: string }[];
    return plan.flatMap(({ detail }) => (new RegExp(`^SCAN (${LONG})(?! USING)`).test(detail) ? [`${detail}: ${sql.slice(0, 160)}`] : []));
  });
}

test.each<[string, () => unknown]>([
  ['a page of pieces', () => listPieces(open.db, {})],
  ['pieces by name', () => listPieces(open.db, { sort: 'name' })],
  ['pieces that wait', () => listPieces(open.db, { waits: 'yes' })],
  ['pieces searched', () => listPieces(open.db, { text: 'tide' })],
  ['a page of firings', () => listFirings(open.db, {})],
  ['firings searched', () => listFirings(open.db, { text: 'well' })],
  ['firings of a kind that came out', () => listFirings(open.db, { look: 'fullFuse', result: 'right' })],
  ['what is in the kilns', () => firingsInKiln(open.db)],
  ['what waits', () => waitingPieces(open.db)],
  ['loads', () => loadsShown(open.db)],
  ['how the like came out', () => seenFirings(open.db, { kiln: 'low-kiln', look: 'fullFuse' })],
  ['what is found', () => find(open.db, 'harbour bowl')],
])('%s: no long table is gone through row by row', (_, ask) => expect(scansOf(ask)).toEqual([]));

test('a question that has no index is noticed', () =>
  expect(scansOf(() => sessionOf(open.db).client.prepare('select id from firings where note = ?').all('none'))).toHaveLength(1));
