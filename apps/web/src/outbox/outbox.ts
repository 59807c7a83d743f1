/**
 * The one way in which the app saves. A save is put here and shown as done; it rests while further edits may still join it,
 * goes to the server in its order, waits while that is silent or busy, and is kept beside the page until an answer is there.
 * What was refused stays until the person has decided. Knows neither React nor how anything is sent.
 *
 * Saves of one queue go one after the other. Those that count versions of one thing each rest on the one before: what such a
 * save is based on is settled only when it goes, so that nobody runs into a conflict with oneself.
 */
import type { Problem } from '@torvin/core/problem';
import { v7 as uuid } from 'uuid';

/** How saves of one name behave. V is all that a save needs to be sent, as JSON; S what stands on the server. */
export interface SaveKind<V = unknown, A = unknown, S = unknown> {
  queue(variables: V): string;
  /** The thing whose versions it counts; left out where it counts none. */
  counts?(variables: V): string;
  /** key: by which the server knows it again; version: the one that it is based on. */
  send(variables: V, how: { key: string; version: number }): Promise<A>;
  /** Takes the answer before the save is gone from the list. */
  taken(answer: A, variables: V): void;
  /** A later edit takes the place of one that still rests; by default all of it. */
  join?(resting: V, next: V): V;
  /** My change put onto what stands, and what stands once that is saved. */
  onto?(variables: V, standing: S): { variables: V; leaves: S };
  /** What brings back the thing that it changes, where that was deleted. */
  revives?(variables: V): { name: string; variables: unknown };
  /** It was given up. */
  givenUp?(variables: V): void;
  /** Ids of saves that go before it, unless they are refused. */
  needs?(variables: V): readonly string[];
  /** In a few words, for the list of what waits. */
  words(variables: V): string;
}

export interface Refusal {
  problem: Problem;
  /** What stands on the server, where somebody else saved first. */
  current?: unknown;
}

export interface Entry {
  /** The key by which the server counts it once. */
  readonly id: string;
  readonly name: string;
  readonly variables: unknown;
  /** The version that it is based on; null: the one that the save before it leaves. */
  readonly on: number | null;
  readonly refused?: Refusal;
}

export type Verdict = { kind: 'silent' } | { kind: 'busy'; after_s: number } | ({ kind: 'refused' } & Refusal);
export type Arrival = { ok: true; answer: unknown } | ({ ok: false } & Refusal);

export interface OutboxParts {
  kinds: Record<string, SaveKind>;
  /** What an error of a send means. */
  judge(error: unknown): Verdict;
  line: { answers(): boolean; subscribe(listener: () => void): () => void };
  /** Keeps them beside the page; left: the page has been left. False where nothing could be kept. */
  keep(entries: readonly Entry[], left: boolean): boolean;
  /** What stands for a save that this version does not know or cannot read, and for such a one that it now can. */
  read(entry: Entry): Entry;
  /** Says of a fault of this page's own where such are seen. */
  report(error: unknown): void;
  /** Tells what stands of something that a save of ours was refused over. */
  standing(name: string, refusal: Refusal): void;
}

export interface PutOptions {
  /** The version of what the person was looking at. */
  on?: number;
  /** Further saves of the same key in a row become one with it while it rests. */
  rest?: { key: string; for_ms: number };
  /**
   * Whoever puts it tells the person of a refusal, until released. The outbox forgets it then, unless that is a conflict, or the person
   * was told that it is kept: such a one stays, and is told of by the header once nobody else does.
   */
  own?: boolean;
  /** An own save that was refused and whose place this one takes. */
  instead?: string;
  /** Where others are to name it before it has gone. */
  id?: string;
}

interface Live {
  resting?: { key: string; timer: ReturnType<typeof setTimeout> };
  sending?: boolean;
  own?: boolean;
  /** The server was silent while it waited, and the person was told that it is kept. */
  promised?: boolean;
  arrive(arrival: Arrival): void;
  arrival: Promise<Arrival>;
}

/** Versions that saves of this page made one after the other, so that nobody else's lies between. */
interface Chain {
  from: number;
  to: number;
}

export class Outbox {
  private list: readonly Entry[] = [];
  private readonly live = new Map<string, Live>();
  private readonly chains = new Map<string, Chain>();
  private readonly listeners = new Set<() => void>();
  private readonly claims = new Map<string, number>();
  private pause: ReturnType<typeof setTimeout> | undefined;
  private isKept = true;
  private isLeft = false;

  constructor(private readonly parts: OutboxParts) {
    parts.line.subscribe(() => this.pump());
  }

  /** What waits, rests, is on its way or was refused, oldest first. The same list while nothing changes. */
  readonly entries = (): readonly Entry[] => this.list;

  /** Whether what waits would outlive the page. */
  readonly kept = (): boolean => this.isKept;

  /** Whether a person who leaves now would lose something. */
  wouldLose(): boolean {
    return !this.isKept && this.list.length > 0 && !this.parts.line.answers();
  }

  /** Keeps it once more, a sign of life, as there may be room by now; and sends what can go. */
  keepAgain(): void {
    if (this.list.length === 0) return;
    const was = this.isKept;
    this.isKept = this.parts.keep(this.list, this.isLeft);
    if (was !== this.isKept) {
      this.list = [...this.list];
      this.tell();
    }
    // Whatever was to set it going and did not.
    this.pump();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Takes up what another page left. */
  adopt(entries: readonly Entry[]): void {
    const known = new Set(this.list.map(({ id }) => id));
    this.list = [...this.list, ...entries.filter(({ id }) => !known.has(id)).map((entry) => this.parts.read(entry))];
    this.changed();
    this.pump();
  }

  put(name: string, variables: unknown, { on, rest, own, instead, id: named }: PutOptions = {}): { id: string; arrival: Promise<Arrival> } {
    const kind = this.kind(name);
    if (own) this.decided(kind.counts?.(variables), instead);
    const before = this.inQueue(kind.queue(variables)).at(-1);
    const joined = before && rest && before.name === name && this.live.get(before.id)?.resting?.key === rest.key ? before : null;
    for (const { id } of this.inQueue(kind.queue(variables))) this.endRest(id);
    const id = joined?.id ?? named ?? uuid();
    if (joined) this.change(id, { variables: kind.join?.(joined.variables, variables) ?? variables });
    else this.list = [...this.list, { id, name, variables, on: this.basedOn(kind, variables, on) }];
    const live = this.liveOf(id);
    live.own = own;
    live.promised = !this.parts.line.answers();
    if (rest) live.resting = { key: rest.key, timer: setTimeout(() => this.rested(id), rest.for_ms) };
    this.changed();
    this.pump();
    return { id, arrival: live.arrival };
  }

  /** Whoever put it has gone: a refusal is kept for the person from now on. */
  release(id: string): void {
    this.setOwn(id, false);
  }

  /** A form that the refused save came from is open again, and tells of it. */
  take(id: string): void {
    if (this.list.some((entry) => entry.id === id)) this.setOwn(id, true);
  }

  private setOwn(id: string, own: boolean): void {
    const live = own ? this.liveOf(id) : this.live.get(id);
    if (!live || live.own === own) return;
    live.own = own;
    if (!this.list.some((entry) => entry.id === id && entry.refused)) return;
    this.list = [...this.list];
    this.tell();
  }

  /** The person has decided on what was refused of a thing, in the form that showed it, by what that form saves now. */
  private decided(counted: string | undefined, instead: string | undefined): void {
    for (const entry of this.list) {
      if (!entry.refused || !this.live.get(entry.id)?.own) continue;
      if (entry.id === instead || (counted !== undefined && this.countedBy(entry) === counted)) this.remove(entry, { ok: false, ...entry.refused });
    }
  }

  /** Whoever shows a queue shows what was refused of it too, until the answer to this is called; what rests then goes at once. */
  claim(queue: string): () => void {
    const count = (by: 1 | -1): void => {
      this.claims.set(queue, (this.claims.get(queue) ?? 0) + by);
      if (!this.inQueue(queue).some(({ refused }) => refused)) return;
      this.list = [...this.list];
      this.tell();
    };
    count(1);
    return () => {
      for (const { id } of this.inQueue(queue)) this.rested(id);
      count(-1);
    };
  }

  isClaimed(entry: Entry): boolean {
    return (this.claims.get(this.queueOf(entry)) ?? 0) > 0 || this.live.get(entry.id)?.own === true;
  }

  /** What of a queue has not arrived, oldest first. */
  waitingIn(queue: string): readonly Entry[] {
    return this.inQueue(queue);
  }

  queueOf({ name, variables }: Entry): string {
    return this.kind(name).queue(variables);
  }

  wordsOf({ name, variables }: Entry): string {
    return this.kind(name).words(variables);
  }

  /**
   * Sends at once what rests. Resolves with true when all of a queue has gone, with false where what was refused holds it back;
   * orSilent: with true, too, where the server does not answer, so that what is kept will go later.
   */
  async settled(queue: string, { orSilent = false } = {}): Promise<boolean> {
    for (const { id } of this.inQueue(queue)) this.rested(id);
    for (;;) {
      const entries = this.inQueue(queue);
      if (entries.some(({ refused }) => refused)) return false;
      if (entries.length === 0 || (orSilent && !this.parts.line.answers())) return true;
      let stop = (): void => undefined;
      const silence = new Promise<void>((resolve) => {
        if (orSilent) stop = this.parts.line.subscribe(() => void (this.parts.line.answers() || resolve()));
      });
      await Promise.race([this.liveOf(entries[0].id).arrival, silence]);
      stop();
    }
  }

  /** Resolves when the first that is meant has arrived or been refused; at once where there is none. */
  async whenGone(meant: (entry: Entry) => boolean): Promise<void> {
    const entry = this.list.find((one) => meant(one) && !one.refused);
    if (entry) await this.liveOf(entry.id).arrival;
  }

  /** Whether something refused holds back what would be put into a queue now. */
  isHeldBack(queue: string): boolean {
    return this.inQueue(queue).some((entry) => entry.refused && this.countedBy(entry) !== null);
  }

  /** Sends what was refused once more, with other variables where given. */
  again(id: string, variables?: unknown): void {
    this.change(id, { refused: undefined, ...(variables === undefined ? {} : { variables }) });
    this.changed();
    this.pump();
  }

  /** Puts what I changed onto what stands: the refused save and all that rest on it. */
  mineOverTheirs(id: string): void {
    const refused = this.list.find((entry) => entry.id === id);
    if (!refused) return;
    let standing = refused.refused?.current;
    let on: number | null = (standing as { version?: number } | undefined)?.version ?? refused.on;
    for (const entry of this.restingOn(refused)) {
      const kind = this.kind(entry.name);
      const put = standing === undefined ? undefined : kind.onto?.(entry.variables, standing);
      standing = put?.leaves ?? standing;
      this.change(entry.id, { refused: undefined, variables: put?.variables ?? entry.variables, on });
      on = null;
    }
    this.changed();
    this.pump();
  }

  /** What was deleted elsewhere is brought back, and then changed as I did. */
  bringBackWithMine(id: string): void {
    const refused = this.list.find((entry) => entry.id === id);
    const back = refused && this.kind(refused.name).revives?.(refused.variables);
    if (!back) return;
    const at = this.list.indexOf(refused);
    this.list = [...this.list.slice(0, at), { id: uuid(), ...back, on: null }, ...this.list.slice(at)];
    this.mineOverTheirs(id);
  }

  /** Gives up a save that was refused, or has not gone, and those that rest on it. */
  discard(id: string): void {
    const refused = this.list.find((entry) => entry.id === id);
    if (!refused) return;
    for (const entry of this.restingOn(refused)) {
      this.kind(entry.name).givenUp?.(entry.variables);
      this.remove(entry, { ok: false, ...(refused.refused ?? GIVEN_UP) });
    }
    this.changed();
    this.pump();
  }

  /** Puts into every save that needs this one what is known only now. */
  fill(id: string, put: (variables: unknown) => unknown): void {
    for (const entry of this.list) {
      if (this.kind(entry.name).needs?.(entry.variables).includes(id)) this.change(entry.id, { variables: put(entry.variables) });
    }
    this.changed();
  }

  /**
   * The page is being left. Nothing rests any more, all is kept, and what can still be asked for is asked for at once: a save
   * on top of one whose answer is not there yet names the version that that one leaves. Whatever of it fails is still kept.
   */
  leave(): void {
    for (const { id } of this.list) this.endRest(id);
    const answers = this.parts.line.answers();
    if (answers) this.pump();
    const ahead = answers ? [...new Set(this.list.map((entry) => this.queueOf(entry)))].flatMap((queue) => this.aheadOf(queue)) : [];
    for (const { id, on } of ahead) this.change(id, { on });
    this.isLeft = true;
    this.changed();
    for (const entry of ahead) void this.sendAhead(entry);
  }

  /** What of a queue can be sent before those before it have been answered, each with the version that it will find. */
  private aheadOf(queue: string): Entry[] {
    const leaves = new Map<string, number>();
    const ahead: Entry[] = [];
    for (const entry of this.inQueue(queue)) {
      if (entry.refused || this.needs(entry).length > 0) break;
      const counted = this.countedBy(entry);
      const on = entry.on ?? (counted === null ? null : (leaves.get(counted) ?? 0));
      if (counted !== null) leaves.set(counted, (on ?? 0) + 1);
      if (!this.liveOf(entry.id).sending) ahead.push({ ...entry, on });
    }
    return ahead;
  }

  private async sendAhead({ id, name, variables, on }: Entry): Promise<void> {
    const version = on ?? 0;
    const live = this.liveOf(id);
    live.sending = true;
    const answer = await this.kind(name)
      .send(variables, { key: id, version })
      .then(
        (value) => ({ value }),
        () => null,
      );
    live.sending = false;
    const now = this.list.find((entry) => entry.id === id);
    if (now && answer) this.arrived(now, version, answer.value);
    this.pump();
  }

  /** What comes back from the browser's memory of pages may have been taken up by another meanwhile. */
  forgetAll(): void {
    for (const { id } of this.list) this.endRest(id);
    this.list = [];
    this.live.clear();
    this.isLeft = false;
    this.tell();
  }

  private kind(name: string): SaveKind {
    const kind = this.parts.kinds[name] as SaveKind | undefined;
    if (!kind) throw new Error(`No save is called '${name}'.`);
    return kind;
  }

  private inQueue(queue: string): Entry[] {
    return this.list.filter((entry) => this.queueOf(entry) === queue);
  }

  private countedBy({ name, variables }: Pick<Entry, 'name' | 'variables'>): string | null {
    return this.kind(name).counts?.(variables) ?? null;
  }

  /** It and what was made on top of it; by itself where it counts nothing. */
  private restingOn(entry: Entry): Entry[] {
    const counted = this.countedBy(entry);
    return counted === null ? [entry] : this.list.slice(this.list.indexOf(entry)).filter((one) => this.countedBy(one) === counted);
  }

  private needs({ name, variables }: Entry): string[] {
    return (this.kind(name).needs?.(variables) ?? []).filter((id) => this.list.some((one) => one.id === id && !one.refused));
  }

  private basedOn(kind: SaveKind, variables: unknown, on: number | undefined): number | null {
    const counted = kind.counts?.(variables);
    if (counted === undefined) return null;
    if (this.list.some((entry) => this.countedBy(entry) === counted)) return null;
    // The page may not have drawn yet what its own last save left.
    const chain = this.chains.get(counted);
    return chain && on !== undefined && on >= chain.from && on < chain.to ? chain.to : (on ?? 0);
  }

  private liveOf(id: string): Live {
    let live = this.live.get(id);
    if (!live) {
      let arrive = (_arrival: Arrival): void => undefined;
      const arrival = new Promise<Arrival>((resolve) => (arrive = resolve));
      live = { arrive, arrival };
      this.live.set(id, live);
    }
    return live;
  }

  private change(id: string, to: Partial<Entry>): void {
    this.list = this.list.map((entry) => (entry.id === id ? { ...entry, ...to } : entry));
  }

  private endRest(id: string): void {
    const live = this.live.get(id);
    if (!live?.resting) return;
    clearTimeout(live.resting.timer);
    live.resting = undefined;
  }

  private rested(id: string): void {
    this.endRest(id);
    this.pump();
  }

  /** What was based on the version that a save leaves is based on this one; null: still on the save before. */
  private pass(from: Entry, on: number | null): void {
    const counted = this.countedBy(from);
    const next = counted === null ? undefined : this.list.find((entry) => entry.id !== from.id && entry.on === null && this.countedBy(entry) === counted);
    if (next && on !== null) this.change(next.id, { on });
  }

  private remove(entry: Entry, arrival: Arrival): void {
    this.endRest(entry.id);
    this.list = this.list.filter(({ id }) => id !== entry.id);
    this.live.get(entry.id)?.arrive(arrival);
    this.live.delete(entry.id);
  }

  /** The next of a queue that may go now. */
  private next(queue: string): Entry | null {
    const held = new Set<string>();
    for (const entry of this.inQueue(queue)) {
      const live = this.live.get(entry.id);
      if (live?.sending || live?.resting) return null;
      const counted = this.countedBy(entry);
      // What was refused holds back what rests on it, and nothing else: a firing that is running is not kept from the Bench by it.
      if (entry.refused && counted !== null) held.add(counted);
      if (entry.refused || (counted !== null && held.has(counted))) continue;
      return this.needs(entry).length > 0 ? null : entry;
    }
    return null;
  }

  private pump(): void {
    if (!this.parts.line.answers() || this.pause !== undefined) return;
    for (const queue of new Set(this.list.map((entry) => this.queueOf(entry)))) {
      const entry = this.next(queue);
      if (entry) void this.send(entry);
    }
  }

  private async send(entry: Entry): Promise<void> {
    const live = this.liveOf(entry.id);
    const version = entry.on ?? 0;
    live.sending = true;
    let verdict: Verdict | null = null;
    let answer: unknown;
    try {
      answer = await this.kind(entry.name).send(entry.variables, { key: entry.id, version });
    } catch (error) {
      verdict = this.parts.judge(error);
    }
    live.sending = false;
    const now = this.list.find(({ id }) => id === entry.id);
    if (!now) return;
    if (verdict === null) this.arrived(now, version, answer);
    else if (verdict.kind === 'refused') this.refuse(now, verdict);
    else {
      live.promised = true;
      if (verdict.kind === 'busy') this.pauseFor(verdict.after_s);
    }
    this.pump();
  }

  private arrived(entry: Entry, version: number, answer: unknown): void {
    const kind = this.kind(entry.name);
    const counted = kind.counts?.(entry.variables);
    if (counted !== undefined) {
      const chain = this.chains.get(counted);
      this.chains.set(counted, { from: chain?.to === version ? chain.from : version, to: version + 1 });
      this.pass(entry, version + 1);
    }
    try {
      kind.taken(answer, entry.variables);
    } catch (error) {
      // It stands on the server, whatever is made of that here.
      this.parts.report(error);
    }
    this.remove(entry, { ok: true, answer });
    this.changed();
  }

  private refuse(entry: Entry, { problem, current }: Refusal): void {
    const refusal = { problem, ...(current === undefined ? {} : { current }) };
    const live = this.liveOf(entry.id);
    this.parts.standing(entry.name, refusal);
    if (live.own && !live.promised && !isConflict(refusal)) {
      this.pass(entry, entry.on);
      this.remove(entry, { ok: false, ...refusal });
    } else {
      this.change(entry.id, { refused: refusal });
      live.arrive({ ok: false, ...refusal });
      // Sent again it arrives anew.
      this.live.delete(entry.id);
      if (live.own) this.liveOf(entry.id).own = true;
    }
    this.changed();
  }

  private pauseFor(seconds: number): void {
    clearTimeout(this.pause);
    this.pause = setTimeout(() => {
      this.pause = undefined;
      this.pump();
    }, seconds * 1000);
  }

  private changed(): void {
    this.isKept = this.parts.keep(this.list, this.isLeft);
    this.tell();
  }

  private tell(): void {
    for (const listener of this.listeners) listener();
  }
}

/** Somebody else has changed or deleted the same thing meanwhile: whose word stands is for the person to say. */
export const isConflict = ({ problem: { code } }: Refusal): boolean => code === 'stale' || code === 'deleted';

const GIVEN_UP: Refusal = { problem: { code: 'given-up', path: '', message: 'It was given up.' } };
