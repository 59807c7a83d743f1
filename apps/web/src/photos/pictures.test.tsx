/** Pictures: where each is read from, how many there may be, and what becomes of one that the server will not take. */
import { PHOTOS_AT_MOST } from '@torvin/schema';
import { act, fireEvent, render, renderHook, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { keepPicture, localIdsIn, localName, readPicture } from '@/outbox/pictures';
import { PhotoPicker } from './Photos';
import { photoUrl, usePhotoUrl } from './Thumbnail';

type Arrival = { ok: true } | { ok: false; problem: { message: string } };
const mockArrivals: ((arrival: Arrival) => void)[] = [];
const mockDiscarded: string[] = [];
jest.mock('@/outbox/useOutbox', () => ({
  useOutbox: () => ({
    put: () => ({ arrival: new Promise<Arrival>((resolve) => mockArrivals.push(resolve)) }),
    discard: (id: string) => void mockDiscarded.push(id),
  }),
  useEntries: () => mockArrivals,
  useOwn: () => ({ put: () => undefined, isHere: () => true }),
}));
jest.mock('@/outside/useServerAnswers', () => ({ useServerAnswers: () => true }));

const hash = (i: number): string => i.toString(16).padStart(64, '0');
const revoked = jest.fn();
beforeEach(() => {
  mockArrivals.length = 0;
  mockDiscarded.length = 0;
  revoked.mockClear();
  Object.assign(URL, { createObjectURL: () => 'blob:here', revokeObjectURL: revoked });
});

let shown: string[] = [];
function Picker({ begins }: { begins: string[] }) {
  const [hashes, setHashes] = useState(begins);
  shown = hashes;
  return <PhotoPicker hashes={hashes} of="this firing" onChange={setHashes} />;
}
const choose = (...names: string[]): Promise<void> =>
  act(async () => {
    fireEvent.change(screen.getByTestId('add-photo-input'), { target: { files: names.map((name) => new File(['x'], name)) } });
    await Promise.resolve();
  });

test('one on the server is asked for by its content; one that waits comes from this browser and is let go with its page', async () => {
  expect(photoUrl(hash(1), 'large')).toBe(`/api/photos/${hash(1)}`);
  expect(renderHook(() => usePhotoUrl(hash(1), 'small')).result.current).toBe(`/api/photos/${hash(1)}?size=small`);
  await keepPicture('p1', new Blob(['x']));
  const picture = renderHook(() => usePhotoUrl(localName('p1'), 'small'));
  expect(picture.result.current).toBeNull();
  await waitFor(() => expect(picture.result.current).toBe('blob:here'));
  picture.unmount();
  expect(revoked).toHaveBeenCalledWith('blob:here');
});

test('of more than there is room for the first are taken, and then no more can be chosen', async () => {
  render(<Picker begins={Array.from({ length: PHOTOS_AT_MOST - 2 }, (_, i) => hash(i))} />);
  await choose('a.jpg', 'b.jpg', 'c.jpg');
  await waitFor(() => expect(shown).toHaveLength(PHOTOS_AT_MOST));
  expect(localIdsIn(shown)).toHaveLength(2);
  expect(mockArrivals).toHaveLength(2);
  expect(screen.getByTestId('add-photo').getAttribute('aria-disabled')).toBe('true');
});

test('one that the server will not take is named with its reason and goes; the others stay', async () => {
  render(<Picker begins={[hash(1)]} />);
  await choose('film.mov');
  await choose('dish.jpg');
  await waitFor(() => expect(mockArrivals).toHaveLength(2));
  const [film, dish] = localIdsIn(shown);
  await act(async () => {
    mockArrivals[0]({ ok: false, problem: { message: 'It is no picture that can be read.' } });
    mockArrivals[1]({ ok: true });
    await Promise.resolve();
  });
  expect(screen.getByTestId('photo-problem').textContent).toBe("'film.mov': It is no picture that can be read.");
  expect(shown).toEqual([hash(1), localName(dish)]);
  await waitFor(async () => expect(await readPicture(film)).toBeUndefined());
  expect(await readPicture(dish)).toBeDefined();
});

test('one that was removed before the answer came says nothing, and is sent no more', async () => {
  render(<Picker begins={[]} />);
  await choose('film.mov');
  await waitFor(() => expect(mockArrivals).toHaveLength(1));
  const [film] = localIdsIn(shown);
  fireEvent.click(screen.getByTestId('photo-remove-0'));
  expect(mockDiscarded).toEqual([film]);
  await act(async () => {
    mockArrivals[0]({ ok: false, problem: { message: 'It is no picture that can be read.' } });
    await Promise.resolve();
  });
  expect(shown).toEqual([]);
  expect(screen.queryByTestId('photo-problem')).toBeNull();
});
