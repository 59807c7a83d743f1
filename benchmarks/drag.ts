/** Drags a bead in a real browser: how long from the finger's move to the new figures, and the longest task meanwhile. */
import { Studio } from '../e2e/server';
import { PHONE, Visitor, launch } from '../e2e/visitor';
import { middle } from './measure';

const MOVES = 60;

interface Probe {
  answers: number[];
  longest: number;
  tasks: number;
}

interface Heard {
  /** When the worker's last message was begun to be dealt with. */
  heardAt: number;
}

/** In the page before anything of its own: the first to hear a worker. */
function hearFirst(): void {
  const Plain = Worker;
  window.Worker = class extends Plain {
    constructor(...given: ConstructorParameters<typeof Worker>) {
      super(...given);
      this.addEventListener('message', () => ((window as unknown as Heard).heardAt = performance.now()));
    }
  };
}

/**
 * In the page: a question starts with the finger's move that led to it, and is answered when the first change that the
 * engine's reply makes is in the document, or with the frame after it where no figure changes.
 */
function watchQuestions(): void {
  const probe: Probe = { answers: [], longest: 0, tasks: 0 };
  (window as unknown as { probe: Probe }).probe = probe;
  let moved = 0;
  window.addEventListener('pointermove', () => (moved = performance.now()), true);
  // What the page does once the finger is gone is no drag.
  window.addEventListener('pointerup', () => (moved = 0), true);
  const since = new Map<string, number>();
  const WATCHED = { subtree: true, characterData: true, childList: true, attributes: true };
  let writtenAt = 0;
  new MutationObserver(() => (writtenAt = performance.now())).observe(document.body, WATCHED);
  const post = Worker.prototype.postMessage;
  const heard = new WeakSet<Worker>();
  Worker.prototype.postMessage = function (this: Worker, message: { id?: string }, ...rest: never[]) {
    if (message.id !== undefined && moved > 0) since.set(message.id, moved);
    if (!heard.has(this)) {
      heard.add(this);
      this.addEventListener('message', ({ data }: MessageEvent<{ id: string }>) => {
        const start = since.get(data.id);
        if (start === undefined) return;
        let changes: MutationObserver | undefined;
        const done = (): void => {
          if (since.delete(data.id)) probe.answers.push(performance.now() - start);
          changes?.disconnect();
        };
        // The page's own listener comes before this one, and what it wrote is written by now.
        if (writtenAt >= (window as unknown as Heard).heardAt) return done();
        changes = new MutationObserver(done);
        changes.observe(document.body, WATCHED);
        requestAnimationFrame(() => requestAnimationFrame(done));
      });
    }
    return Reflect.apply(post, this, [message, ...rest]) as undefined;
  };
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) {
      probe.longest = Math.max(probe.longest, entry.duration);
      probe.tasks += 1;
    }
  }).observe({ entryTypes: ['longtask'] });
}

/** slowed: by how much the page's own processor is slower than this machine's. */
export async function measureDrag(slowed: number): Promise<void> {
  if (!process.env.CHROMIUM_PATH) return;
  const studio = new Studio();
  await studio.start();
  const browser = await launch();
  try {
    const me = await Visitor.open(browser, PHONE);
    await me.page.evaluateOnNewDocument(hearFirst);
    await me.page.goto(`${studio.address}/pieces`);
    await me.openPiece('Plaque no. 14');
    await me.press('open-run');
    await me.sees('live-work', /%/);
    const bead = await me.find('bead-2');
    await bead.evaluate((node) => node.scrollIntoView({ block: 'center' }));
    const box = await bead.boundingBox();
    if (!box) throw new Error('The bead is not on the screen.');
    const x = box.x + box.width / 2;
    const y = box.y + box.height / 2;
    await me.page.evaluate(watchQuestions);
    if (slowed > 1) await me.page.emulateCPUThrottling(slowed);
    const finger = await me.page.touchscreen.touchStart(x, y);
    for (let i = 1; i <= MOVES; i += 1) {
      await finger.move(x - 30 * Math.sin((i / MOVES) * Math.PI * 2), y);
      await new Promise((resolve) => setTimeout(resolve, 16));
    }
    await finger.end();
    const { answers, longest, tasks } = await me.page.evaluate(() => (window as unknown as { probe: Probe }).probe);
    const late = [...answers].sort((a, b) => a - b)[Math.floor(answers.length * 0.95)];
    process.stdout.write(
      `bead drag to figures${slowed > 1 ? `, processor slowed ${slowed} times` : ''}: median ${middle(answers).toFixed(1)} ms, 95th in a hundred ${late.toFixed(1)} ms (${answers.length} answers to ${MOVES} moves)\n`,
    );
    process.stdout.write(`longest main-thread task while dragging: ${tasks === 0 ? 'none over 50 ms' : `${longest.toFixed(0)} ms, ${tasks} over 50 ms`}\n`);
  } finally {
    await browser.close();
    await studio.end();
  }
}
