/** A save applies a piece's journey once, however much follows from it: counted by how often its one turning over was. */
import type { LaidLayer, PieceDocument } from '@torvin/core/piece';
import { v7 as uuid } from 'uuid';
import type * as handSteps from '../../../../packages/core/src/piece/handSteps';
import type * as testServer from '../test/testServer';

let mockTurned = 0;
jest.mock('../../../../packages/core/src/piece/handSteps', () => {
  const real = jest.requireActual<typeof handSteps>('../../../../packages/core/src/piece/handSteps');
  return {
    ...real,
    turnBody: (...asked: Parameters<typeof real.turnBody>) => {
      mockTurned += 1;
      return real.turnBody(...asked);
    },
  };
});

// After what it is to count has been put in.
const { startTestServer } = jest.requireActual<typeof testServer>('../test/testServer');

test('a piece that is made, changed, listed and read', async () => {
  const server = await startTestServer();
  try {
    const { glasses } = (await server.ask('GET', '/api/shelves')).body;
    const layer: LaidLayer = { id: uuid(), form: 'sheet', glassId: glasses[0].id, thickness_m: 0.006 };
    const doc: PieceDocument = {
      ...{ schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: false, typed: {} },
      journey: [
        { kind: 'lay', id: uuid(), side: 'above', layers: [layer] },
        { kind: 'turn', id: uuid() },
        { kind: 'lay', id: uuid(), side: 'above', layers: [{ ...layer, id: uuid() }] },
      ],
    };
    const counted = async (method: string, path: string, body?: object): Promise<{ status: number; turned: number; body: { version: number } }> => {
      const before = mockTurned;
      const answer = await server.ask(method, path, body);
      return { ...answer, turned: mockTurned - before };
    };
    const id = uuid();
    const made = await counted('POST', '/api/pieces', { id, name: 'Turned', doc });
    expect([made.status, made.turned]).toEqual([200, 1]);
    const saved = await counted('PUT', `/api/pieces/${id}`, { version: 1, name: 'Turned', doc: { ...doc, dammed: true }, what: 'dam set' });
    expect([saved.status, saved.turned]).toEqual([200, 1]);
    // What is read from the database is another document: applied once for its row, which is kept.
    expect((await counted('GET', '/api/pieces?text=Turned')).turned).toBe(1);
    expect((await counted('GET', '/api/pieces?text=Turned')).turned).toBe(0);
  } finally {
    await server.stop();
  }
});
