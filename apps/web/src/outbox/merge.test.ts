import { onto, partsOnto } from './merge';

const layer = (id: string, depth = 3) => ({ id, form: 'sheet', depth });
const doc = (layers: object[], more: object = {}) => ({ name: 'Tray', dammed: false, outline: { shape: 'disc', diameter: 300 }, layers, ...more });

describe('my changes put onto what stands', () => {
  test('are all there is where nobody else changed anything, and nothing where I changed nothing', () => {
    const before = doc([layer('a'), layer('b')]);
    const mine = doc([layer('b', 6)], { dammed: true });
    expect(onto(before, mine, before)).toEqual(mine);
    expect(onto(before, before, mine)).toEqual(mine);
    // Put on once more they change nothing.
    expect(onto(before, mine, mine)).toEqual(mine);
  });

  test('leave alone what they changed and I did not', () => {
    const before = doc([layer('a'), layer('b')]);
    const mine = doc([layer('a', 6), layer('b')]);
    const theirs = doc([layer('a'), layer('b', 9)], { name: 'Theirs', dammed: true });
    expect(onto(before, mine, theirs)).toEqual(doc([layer('a', 6), layer('b', 9)], { name: 'Theirs', dammed: true }));
  });

  test('stand where both changed the same thing', () => {
    const before = doc([layer('a')]);
    expect(onto(before, doc([layer('a', 6)]), doc([layer('a', 9)]))).toEqual(doc([layer('a', 6)]));
  });

  test('keep what they added where it stands with them, and what I added where it stands with me', () => {
    const before = doc([layer('a'), layer('b')]);
    const mine = doc([layer('a'), layer('m'), layer('b')]);
    const theirs = doc([layer('a'), layer('b'), layer('t')]);
    expect(onto(before, mine, theirs)).toEqual(doc([layer('a'), layer('m'), layer('b'), layer('t')]));
    expect(onto(before, doc([layer('m'), layer('a'), layer('b')]), theirs)).toEqual(doc([layer('m'), layer('a'), layer('b'), layer('t')]));
  });

  test('keep my order where I moved something, theirs where I did not', () => {
    const before = doc([layer('a'), layer('b'), layer('c')]);
    const theirs = doc([layer('t'), layer('a'), layer('b'), layer('c')]);
    expect(onto(before, doc([layer('c'), layer('a'), layer('b')]), theirs)).toEqual(doc([layer('t'), layer('c'), layer('a'), layer('b')]));
    const turned = doc([layer('b'), layer('a'), layer('c')]);
    expect(onto(before, doc([layer('a', 6), layer('b'), layer('c')]), turned)).toEqual(doc([layer('b'), layer('a', 6), layer('c')]));
  });

  test('take away what I took away, and bring back what they took away only where I had changed it', () => {
    const before = doc([layer('a'), layer('b'), layer('c')]);
    expect(onto(before, doc([layer('a'), layer('c')]), doc([layer('a', 6), layer('b', 6), layer('c')]))).toEqual(doc([layer('a', 6), layer('c')]));
    expect(onto(before, doc([layer('a'), layer('b', 6), layer('c', 6)]), doc([layer('a'), layer('c')]))).toEqual(
      doc([layer('a'), layer('b', 6), layer('c', 6)]),
    );
    expect(onto(before, doc([layer('a', 6), layer('b'), layer('c')]), doc([layer('a'), layer('c')]))).toEqual(doc([layer('a', 6), layer('c')]));
  });

  test('never mix two shapes, nor lists without ids', () => {
    const before = doc([], { sizes: [2, 3] });
    const mine = doc([], { outline: { shape: 'disc', diameter: 400 }, sizes: [2, 3, 4] });
    const theirs = doc([], { outline: { shape: 'rectangle', width: 100, length: 200 }, sizes: [3] });
    expect(onto(before, mine, theirs)).toEqual(doc([], { outline: { shape: 'disc', diameter: 400 }, sizes: [2, 3, 4] }));
  });
});

test('parts that may be left out are merged one by one, whoever added or took one away', () => {
  type Parts = { note: string; mark?: string; lasts?: number };
  const merged = (before: Parts, mine: Parts, theirs: Parts): Parts => partsOnto(before, mine, theirs);
  expect(merged({ note: '' }, { note: '', mark: 'dot' }, { note: 'thin' })).toEqual({ note: 'thin', mark: 'dot' });
  expect(merged({ note: '', lasts: 3 }, { note: '' }, { note: 'thin', lasts: 3 })).toEqual({ note: 'thin' });
  expect(merged({ note: '', lasts: 3 }, { note: 'mine', lasts: 3 }, { note: '' })).toEqual({ note: 'mine' });
  expect(merged({ note: 'a' }, { note: 'b', mark: 'x' }, { note: 'c', mark: 'y', lasts: 1 })).toEqual({ note: 'b', mark: 'x', lasts: 1 });
});
