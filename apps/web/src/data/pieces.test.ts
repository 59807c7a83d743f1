import type { Piece } from '@torvin/schema';
import { outboxOf } from '@/outbox/make';
import { keys } from '@/outside/keys';
import { withFakeServer } from '@/test/fakeServer';
import { pieceReading } from './pieces';
import { makeQueryClient } from './queries';

const piece = (version: number): Piece => ({ id: 'p', name: 'Tray', version }) as Piece;

const at = withFakeServer(() => ({
  answer: () => ({ status: 200, body: piece(5) }),
}));

const open = (known: Piece) => {
  const client = makeQueryClient();
  client.setQueryData(keys.piece('p'), known);
  return { client, read: () => client.fetchQuery({ ...pieceReading(client, outboxOf(client), 'p'), staleTime: 0 }) };
};

test('a backup that was put back is believed, although the piece is older in it', async () => {
  const { client, read } = open(piece(9));
  await read();
  expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 5 });
});

test('an answer from before a save, that comes after the save’s own, is not', async () => {
  const { client, read } = open(piece(5));
  at.current.answer = () => {
    client.setQueryData(keys.piece('p'), piece(6));
    return { status: 200, body: piece(5) };
  };
  await read();
  expect(client.getQueryData(keys.piece('p'))).toMatchObject({ version: 6 });
});
