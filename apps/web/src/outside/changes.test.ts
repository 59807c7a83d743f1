/** Pages of one browser, each its own module on a channel that all of them hear; streams are stand-ins. */
import type { Change } from '@torvin/schema';
import type * as Changes from './changes';

interface Stream {
  url: string;
  readyState: number;
  tell(type: 'here' | 'change', id: string, change?: Change): void;
}

let streams: Stream[] = [];
const open = (): Stream[] => streams.filter(({ readyState }) => readyState !== 2);

class StandIn {
  static readonly CLOSED = 2;
  readyState = 1;
  onerror?: () => void;
  private readonly told: Record<string, (event: unknown) => void> = {};
  constructor(readonly url: string) {
    streams.push(this);
  }
  addEventListener(type: string, listener: (event: unknown) => void): void {
    this.told[type] = listener;
  }
  close(): void {
    this.readyState = 2;
  }
  tell(type: 'here' | 'change', id: string, change: Change = { topic: 'all' }): void {
    this.told[type]({ type, lastEventId: id, data: JSON.stringify(change) });
  }
}

type Listener = (event: { data: unknown }) => void;
let channels: { onmessage?: Listener }[] = [];
/** What has been said and not been heard yet, as between pages that run side by side. */
let onTheWay: (() => void)[] = [];
const hear = (): void => {
  while (onTheWay.length > 0) onTheWay.shift()?.();
};

class Channel {
  onmessage?: Listener;
  constructor() {
    channels.push(this);
  }
  postMessage(data: unknown): void {
    for (const other of channels) if (other !== this) onTheWay.push(() => other.onmessage?.({ data }));
  }
  close(): void {
    channels = channels.filter((one) => one !== this);
  }
}

beforeEach(() => {
  [streams, channels, onTheWay] = [[], [], []];
  Object.assign(window, { EventSource: StandIn });
  Object.assign(global, { EventSource: StandIn, BroadcastChannel: Channel });
});

/** A page of its own: modules read anew. */
function page() {
  const heard: Change[] = [];
  let stop = (): void => undefined;
  let noted = (_id: string): void => undefined;
  jest.isolateModules(() => {
    const module = jest.requireActual<typeof Changes>('./changes');
    noted = module.noteEvent;
    stop = module.followChanges((change) => heard.push(change));
  });
  return { heard, stop, noted };
}

const change: Change = { topic: 'studio' };

test('pages that ask at once settle on one stream, and all of them hear', () => {
  const pages = [page(), page(), page()];
  hear();
  expect(open()).toHaveLength(1);
  open()[0].tell('change', 'a.1', change);
  hear();
  expect(pages.map(({ heard }) => heard)).toEqual([[change], [change], [change]]);
  pages.forEach(({ stop }) => stop());
});

test('where the page that has it is left, the next goes on after what the browser has heard', () => {
  const [one, two] = [page(), page()];
  hear();
  const [first] = open();
  first.tell('change', 'a.7', change);
  hear();
  // Whichever has it.
  const owner = streams.indexOf(first) === 0 ? one : two;
  owner.stop();
  hear();
  expect(open().map(({ url }) => url)).toEqual(['/api/events?after=a.7']);
  (owner === one ? two : one).stop();
  hear();
  expect(open()).toEqual([]);
});
