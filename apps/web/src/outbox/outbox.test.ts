import type { Problem } from '@torvin/core/problem';
import { type Arrival, type Entry, Outbox, type SaveKind, type Verdict } from './outbox';

const problem = (code: string): Problem => ({ code, path: '', message: code });

/** A server of one text with a version, and of notes that count none; it knows a save that comes again. */
class Desk {
  version = 1;
  readonly text: string[] = [];
  readonly notes: string[] = [];
  readonly taken = new Set<string>();
  readonly asked: { what: string; key: string; version: number }[] = [];
  /** What it says next instead; then as usual. */
  next: unknown[] = [];
  held: Promise<void> | null = null;

  async write(what: string, key: string, version: number): Promise<{ version: number }> {
    this.asked.push({ what, key, version });
    if (this.held) await this.held;
    const fault = this.next.shift();
    if (fault !== undefined) throw fault;
    if (this.taken.has(key)) return { version: this.version };
    if (version !== this.version) throw { kind: 'refused', problem: problem('stale'), current: { version: this.version, lines: [...this.text] } };
    this.taken.add(key);
    this.version += 1;
    this.text.push(what);
    return { version: this.version };
  }

  async note(what: string): Promise<{ ok: true }> {
    const fault = this.next.shift();
    if (fault !== undefined) throw fault;
    this.notes.push(what);
    return { ok: true };
  }
}

interface Line {
  text: string;
  of?: string;
}

let desk: Desk;
let online: boolean;
let tellOnline: () => void;
let keeps: boolean;
let left: { entries: readonly Entry[]; leaving: boolean };
let outbox: Outbox;
let arrived: string[];
let reported: unknown[];

function open(odd: Partial<SaveKind<Line, { version: number }, { lines: string[] }>> = {}): Outbox {
  const listeners = new Set<() => void>();
  tellOnline = () => listeners.forEach((listener) => listener());
  const line: SaveKind<Line, { version: number }, { lines: string[] }> = {
    queue: ({ of = 'desk' }) => of,
    counts: ({ of = 'desk' }) => of,
    send: ({ text }, { key, version }) => desk.write(text, key, version),
    taken: (_, { text }) => void arrived.push(text),
    onto: (variables, { lines }) => ({
      variables: { ...variables, text: `${lines.join('')}${variables.text}` },
      leaves: { lines: [...lines, variables.text] },
    }),
    words: ({ text }) => text,
    ...odd,
  };
  const note: SaveKind<Line & { after?: string }> = {
    queue: () => 'desk',
    send: ({ text }) => desk.note(text),
    taken: () => undefined,
    needs: ({ after }) => (after === undefined ? [] : [after]),
    words: ({ text }) => text,
  };
  return new Outbox({
    kinds: { line, note, other: { ...note, queue: () => 'other' } },
    judge: (error) => error as Verdict,
    line: {
      answers: () => online,
      subscribe(listener) {
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
    },
    keep(entries, leaving) {
      left = { entries, leaving };
      return keeps;
    },
    read: (entry) => (entry.name === 'odd' ? { ...entry, name: 'note', variables: { text: 'odd' }, refused: { problem: problem('odd') } } : entry),
    report: (error) => void reported.push(error),
    standing: () => undefined,
  });
}

const settle = (ms = 0): Promise<void> => jest.advanceTimersByTimeAsync(ms);
const write = (text: string, on = desk.version): { id: string; arrival: Promise<Arrival> } => outbox.put('line', { text }, { on });
const edit = (text: string, key: string, on = desk.version): { id: string } => outbox.put('line', { text }, { on, rest: { key, for_ms: 400 } });
const goOffline = (): void => void (online = false);
async function comeBack(): Promise<void> {
  online = true;
  tellOnline();
  await settle();
}

beforeEach(() => {
  jest.useFakeTimers();
  desk = new Desk();
  online = true;
  keeps = true;
  arrived = [];
  reported = [];
  left = { entries: [], leaving: false };
  outbox = open();
});
afterEach(() => jest.useRealTimers());

describe('edits', () => {
  test('of one key in a row are one save, sent once they rest', async () => {
    for (const text of ['a', 'b', 'c']) edit(text, 'depth');
    await settle(399);
    expect(desk.asked).toEqual([]);
    await settle(1);
    expect(desk.text).toEqual(['c']);
    expect(outbox.entries()).toEqual([]);
  });

  test('of another key end the rest of those before, and go on top of them', async () => {
    edit('a', 'depth');
    edit('b', 'cover');
    await settle();
    expect(desk.text).toEqual(['a']);
    await settle(400);
    expect(desk.asked.map(({ version }) => version)).toEqual([1, 2]);
    expect(desk.text).toEqual(['a', 'b']);
  });

  test('are never joined to one that is on its way', async () => {
    desk.held = new Promise((resolve) => setTimeout(resolve, 1000));
    edit('a', 'depth');
    await settle(400);
    edit('b', 'depth');
    await settle(2000);
    expect(desk.text).toEqual(['a', 'b']);
  });

  test('made on a page that has not drawn yet what its own last save left are no conflict', async () => {
    const on = desk.version;
    write('a', on);
    await settle();
    write('b', on);
    await settle();
    expect(desk.text).toEqual(['a', 'b']);
    // Somebody else's in between is one.
    const seen = desk.version;
    desk.version += 1;
    write('c', seen);
    await settle();
    expect(outbox.entries()).toMatchObject([{ refused: { problem: { code: 'stale' } } }]);
  });

  test('rest until whoever waits for them asks; then all of the queue has gone', async () => {
    edit('a', 'depth');
    const settled = outbox.settled('desk');
    await settle();
    expect(await settled).toBe(true);
    expect(desk.text).toEqual(['a']);
    desk.next = [{ kind: 'refused', problem: problem('full') }];
    edit('b', 'depth');
    const other = outbox.settled('desk');
    await settle();
    expect(await other).toBe(false);
  });
});

describe('while nobody answers', () => {
  test('all is kept and goes in its order, each on top of the one before', async () => {
    desk.next = [{ kind: 'silent' }];
    const silenced = desk.write.bind(desk);
    desk.write = async (what, key, version) => {
      goOffline();
      return silenced(what, key, version);
    };
    write('a');
    await settle();
    desk.write = silenced;
    write('b');
    outbox.put('note', { text: 'n' });
    write('c');
    await settle(5000);
    expect(desk.text).toEqual([]);
    expect(left.entries.map(({ variables }) => (variables as Line).text)).toEqual(['a', 'b', 'n', 'c']);
    await comeBack();
    expect(desk.text).toEqual(['a', 'b', 'c']);
    expect(desk.notes).toEqual(['n']);
    expect(desk.asked.map(({ version }) => version)).toEqual([1, 1, 2, 3]);
    // The save that came again came under its key.
    expect(desk.asked[1].key).toBe(desk.asked[0].key);
    expect(left.entries).toEqual([]);
  });

  test('what a page left is taken up by the next and counts once, though its answer was lost', async () => {
    const { id } = write('a');
    write('b');
    await settle();
    expect(desk.text).toEqual(['a', 'b']);
    const next = open();
    outbox = next;
    next.adopt([
      { id, name: 'line', variables: { text: 'a' }, on: 1 },
      { id: desk.asked[1].key, name: 'line', variables: { text: 'b' }, on: null },
      { id: 'third', name: 'line', variables: { text: 'c' }, on: null },
      { id: 'odd', name: 'odd', variables: {}, on: null },
    ]);
    await settle();
    expect(desk.text).toEqual(['a', 'b', 'c']);
    // What it cannot send stays, and is shown.
    expect(next.entries()).toMatchObject([{ id: 'odd', refused: { problem: { code: 'odd' } } }]);
  });

  test('somebody may ask to be told at once that it is kept', async () => {
    goOffline();
    write('a');
    expect(await outbox.settled('desk', { orSilent: true })).toBe(true);
    online = true;
    desk.held = new Promise(() => undefined);
    tellOnline();
    const settled = outbox.settled('desk', { orSilent: true });
    goOffline();
    tellOnline();
    expect(await settled).toBe(true);
  });

  test('a browser that keeps nothing is said so, until there is room', () => {
    goOffline();
    keeps = false;
    write('a');
    expect(outbox.kept()).toBe(false);
    expect(outbox.wouldLose()).toBe(true);
    const told = jest.fn();
    outbox.subscribe(told);
    outbox.keepAgain();
    expect(told).not.toHaveBeenCalled();
    keeps = true;
    outbox.keepAgain();
    expect(told).toHaveBeenCalledTimes(1);
    expect(outbox.wouldLose()).toBe(false);
  });
});

describe('a server that is busy', () => {
  test('is asked again when it said, not before, and nothing is refused', async () => {
    desk.next = [{ kind: 'busy', after_s: 3 }];
    write('a');
    outbox.put('other', { text: 'n' });
    await settle(2900);
    expect(desk.asked).toHaveLength(1);
    expect(outbox.entries()[0].refused).toBeUndefined();
    await settle(100);
    expect(desk.text).toEqual(['a']);
    expect(desk.asked[1].key).toBe(desk.asked[0].key);
  });

  test('is asked again though the clock of the day and that of the timers differ by a little', async () => {
    desk.next = [{ kind: 'busy', after_s: 3 }];
    write('a');
    await settle();
    // Browsers round the two each by itself.
    jest.setSystemTime(Date.now() - 2);
    await settle(3000);
    expect(desk.text).toEqual(['a']);
  });
});

test('what an answer was to change here and could not has arrived all the same, and holds nothing back', async () => {
  const faulty = open({
    taken: () => {
      throw new Error('not drawn');
    },
  });
  faulty.put('line', { text: 'a' }, { on: 1 });
  const { arrival } = faulty.put('line', { text: 'b' }, { on: 1 });
  await settle();
  expect(await arrival).toMatchObject({ ok: true });
  expect(desk.text).toEqual(['a', 'b']);
  expect(reported.map(String)).toEqual(['Error: not drawn', 'Error: not drawn']);
});

test('what can go and was not set going goes with the next sign of life', async () => {
  goOffline();
  write('a');
  // Nobody told of it.
  online = true;
  await settle(60_000);
  expect(desk.text).toEqual([]);
  outbox.keepAgain();
  await settle();
  expect(desk.text).toEqual(['a']);
});

describe('a refused save', () => {
  const refuse = async (text: string): Promise<string> => {
    desk.version += 3;
    const { id } = write(text, desk.version - 3);
    await settle();
    return id;
  };

  test('holds back what rests on it, and nothing else', async () => {
    await refuse('a');
    write('b');
    outbox.put('line', { text: 'elsewhere', of: 'other' }, { on: desk.version });
    await settle();
    expect(desk.asked.map(({ what }) => what)).toEqual(['a', 'elsewhere']);
    expect(outbox.isHeldBack('desk')).toBe(true);
  });

  test('lets by what does not rest on it, such as a firing that is running, but not what needs a save that it holds back', async () => {
    await refuse('a');
    outbox.put('line', { text: 'b' }, { on: desk.version, id: 'b1' });
    outbox.put('note', { text: 'running' });
    outbox.put('note', { text: 'of b', after: 'b1' });
    await settle();
    expect(desk.notes).toEqual(['running']);
    outbox.mineOverTheirs(outbox.entries()[0].id);
    await settle();
    expect(desk.notes).toEqual(['running', 'of b']);
  });

  test('that counts no versions holds nothing back', async () => {
    desk.next = [{ kind: 'refused', problem: problem('unknown') }];
    outbox.put('note', { text: 'n' });
    write('a');
    await settle();
    expect(desk.text).toEqual(['a']);
    expect(outbox.isHeldBack('desk')).toBe(false);
    outbox.again(outbox.entries()[0].id, { text: 'better' });
    await settle();
    expect(desk.notes).toEqual(['better']);
  });

  test('goes with what I changed onto what stands, and so does what rests on it', async () => {
    desk.text.push('theirs ');
    const id = await refuse('a');
    write('b');
    outbox.mineOverTheirs(id);
    await settle();
    // The second is put onto what the first leaves.
    expect(desk.text).toEqual(['theirs ', 'theirs a', 'theirs ab']);
    expect(desk.asked.slice(-2).map(({ version }) => version)).toEqual([4, 5]);
  });

  test('is refused anew where yet another came in between', async () => {
    const id = await refuse('a');
    desk.version += 1;
    outbox.mineOverTheirs(id);
    await settle();
    expect(outbox.entries()).toMatchObject([{ refused: { current: { version: 5 } } }]);
    outbox.mineOverTheirs(id);
    await settle();
    expect(outbox.entries()).toEqual([]);
  });

  test('is given up with what rests on it; what does not goes on', async () => {
    const id = await refuse('a');
    write('b');
    outbox.put('note', { text: 'n' });
    await settle();
    outbox.discard(id);
    await settle();
    expect([desk.text, desk.notes]).toEqual([[], ['n']]);
    write('c');
    await settle();
    expect(desk.text).toEqual(['c']);
  });

  test('of a form is told to the form alone, while that is there; a conflict outlives it', async () => {
    desk.version += 1;
    const { arrival, id } = outbox.put('line', { text: 'a' }, { on: 1, own: true });
    await settle();
    expect(await arrival).toMatchObject({ ok: false, problem: { code: 'stale' }, current: { version: 2 } });
    expect(outbox.entries()).toMatchObject([{ id, refused: {} }]);
    expect(outbox.isClaimed(outbox.entries()[0])).toBe(true);
    const before = outbox.entries();
    outbox.release(id);
    expect(outbox.isClaimed(outbox.entries()[0])).toBe(false);
    expect(outbox.entries()).not.toBe(before);
    // The form is open again.
    outbox.take(id);
    expect(outbox.isClaimed(outbox.entries()[0])).toBe(true);
    const next = outbox.put('line', { text: 'b' }, { on: 2, own: true });
    expect(outbox.entries().map((entry) => entry.id)).toEqual([next.id]);
    await settle();
    expect([outbox.entries(), desk.text]).toEqual([[], ['b']]);
  });

  test('of a form for what is wrong in it is forgotten, unless it was said to be kept', async () => {
    desk.next = [{ kind: 'refused', problem: problem('out-of-range') }];
    outbox.put('line', { text: 'a' }, { on: 1, own: true });
    await settle();
    expect(outbox.entries()).toEqual([]);
    goOffline();
    desk.next = [{ kind: 'refused', problem: problem('out-of-range') }];
    const { id } = outbox.put('note', { text: 'n' }, { own: true });
    await comeBack();
    expect(outbox.entries()).toMatchObject([{ id, refused: { problem: { code: 'out-of-range' } } }]);
    // Said again in that form.
    outbox.put('note', { text: 'm' }, { own: true, instead: id });
    await settle();
    expect([outbox.entries(), desk.notes]).toEqual([[], ['m']]);
  });

  test('of something that was deleted elsewhere brings it back first, then changes it; or both are given up', async () => {
    const revived: string[] = [];
    outbox = open({ revives: ({ text }) => ({ name: 'other', variables: { text: `back for ${text}` } }) });
    desk.next = [{ kind: 'refused', problem: problem('deleted'), current: { version: 1, lines: ['was'] } }];
    const { id } = outbox.put('line', { text: 'a' }, { on: 1 });
    await settle();
    expect(outbox.entries()).toMatchObject([{ id, refused: { problem: { code: 'deleted' } } }]);
    outbox.bringBackWithMine(id);
    revived.push(...outbox.entries().map(({ name }) => name));
    await settle();
    expect([revived, desk.notes, desk.text, outbox.entries()]).toEqual([['other', 'line'], ['back for a'], ['wasa'], []]);
    desk.next = [{ kind: 'refused', problem: problem('deleted'), current: { version: 2, lines: [] } }];
    outbox.put('line', { text: 'b' }, { on: 2 });
    await settle();
    outbox.discard(outbox.entries()[0].id);
    expect([outbox.entries(), desk.text]).toEqual([[], ['wasa']]);
  });

  test('is said by the page that shows its queue, by the header when that has gone', async () => {
    const release = outbox.claim('desk');
    await refuse('a');
    const [entry] = outbox.entries();
    expect(outbox.isClaimed(entry)).toBe(true);
    const before = outbox.entries();
    release();
    expect(outbox.isClaimed(entry)).toBe(false);
    expect(outbox.entries()).not.toBe(before);
  });
});

describe('a save that needs another', () => {
  test('waits for it and takes what it brings', async () => {
    goOffline();
    outbox.put('line', { text: 'picture', of: 'pictures' }, { on: 1, id: 'p1' });
    outbox.put('note', { text: 'with p1', after: 'p1' });
    desk.held = new Promise((resolve) => setTimeout(resolve, 100));
    await comeBack();
    expect(desk.notes).toEqual([]);
    outbox.fill('p1', (variables) => ({ ...(variables as Line), text: 'with a picture' }));
    await settle(100);
    expect(desk.notes).toEqual(['with a picture']);
  });

  test('does not wait for one that was refused', async () => {
    desk.next = [{ kind: 'refused', problem: problem('no picture') }];
    outbox.put('line', { text: 'picture', of: 'pictures' }, { on: 1, id: 'p1' });
    outbox.put('note', { text: 'n', after: 'p1' });
    await settle();
    expect(desk.notes).toEqual(['n']);
  });
});

describe('a page that is left', () => {
  test('asks at once for all that it can, each on the version that the one before leaves, and keeps it all', async () => {
    let letThrough = (): void => undefined;
    desk.held = new Promise((resolve) => (letThrough = resolve));
    write('a');
    write('b');
    edit('c', 'depth');
    await settle();
    expect(desk.asked).toHaveLength(1);
    outbox.leave();
    expect(desk.asked.map(({ what, version }) => [what, version])).toEqual([
      ['a', 1],
      ['b', 2],
      ['c', 3],
    ]);
    expect(left).toMatchObject({ leaving: true, entries: [{}, {}, {}] });
    desk.held = null;
    letThrough();
    await settle();
    expect(desk.text).toEqual(['a', 'b', 'c']);
  });

  test('asks for nothing where nobody answers, and for nothing behind what was refused', async () => {
    goOffline();
    edit('a', 'depth');
    outbox.leave();
    expect(desk.asked).toEqual([]);
    expect(left).toMatchObject({ leaving: true, entries: [{ variables: { text: 'a' } }] });
    online = true;
    outbox = open();
    desk.version = 5;
    write('b', 1);
    await settle();
    write('c');
    outbox.leave();
    await settle();
    expect(desk.asked.map(({ what }) => what)).toEqual(['b']);
  });
});
