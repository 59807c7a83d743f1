/**
 * Keeps what waits beside the page, in the browser's storage: a tab that is reloaded takes its own up again, and what a closed
 * tab left is taken by the next that is open.
 */
import { v7 as uuid } from 'uuid';
import { removeStored, readStored, storedKeys, writeStored } from '@/outside/storage';
import { forgetOldDrafts } from './drafts';
import type { Entry, Outbox } from './outbox';
import { entriesOfOld } from './older';

const PREFIX = 'torvin-outbox:';
const TAB = 'torvin-tab';
const SIGN_OF_LIFE_MS = 5000;
/** A tab that has not been heard of for so long is gone, though it never said so; browsers let one in the dark speak once a minute. */
const GONE_AFTER_MS = 150_000;

/** A tab that is left may only be reloaded: it comes first. */
const RELOADED_WITHIN_MS = 10_000;

interface Left {
  /** The tab's last sign of life. */
  at: number;
  /** It has been left since. */
  left?: boolean;
  entries: Entry[];
}

export class Keeper {
  private tab = tabName(readStored<string>('sessionStorage', TAB));
  private entries: readonly Entry[] = [];
  private readonly began = Date.now();

  /** False where the browser kept nothing: its storage is full or forbidden. */
  readonly keep = (entries: readonly Entry[], left: boolean): boolean => {
    this.entries = entries;
    return this.write(left);
  };

  private get own(): string {
    return PREFIX + this.tab;
  }

  private write(left: boolean): boolean {
    if (this.entries.length === 0) return removeStored('localStorage', this.own);
    return writeStored('localStorage', this.own, { at: Date.now(), left, entries: [...this.entries] } satisfies Left);
  }

  /** What this tab left when it was last here, and what tabs left that are gone; each is taken once. */
  takeUp(): Entry[] {
    const now = Date.now();
    const left = storedKeys(PREFIX).flatMap((key) => {
      const kept = readStored<Left>('localStorage', key);
      const mine = key === this.own && this.entries.length === 0;
      const isGone = (): boolean => now - (kept?.at ?? now) > (kept?.left ? RELOADED_WITHIN_MS : GONE_AFTER_MS);
      if (!kept || !(mine || (key !== this.own && isGone()))) return [];
      removeStored('localStorage', key);
      return [kept];
    });
    return [...entriesOfOld(this.tab, now), ...left.sort((a, b) => a.at - b.at).flatMap(({ entries }) => entries)];
  }

  /** A tab that was duplicated bears the name of the one it was made from. */
  rename(): void {
    this.tab = tabName(null);
    this.write(false);
  }

  /** The page knows nothing any more; what is kept stays kept. */
  forget(): void {
    this.entries = [];
  }

  /**
   * Whether another page writes under this one's name: this tab was duplicated, or that one. Of what the page before it in this very tab
   * wrote when it was left, this one may be told late.
   */
  isTaken(key: string | null, written: string | null): boolean {
    if (key !== this.own || written === null) return false;
    const { at } = JSON.parse(written) as Left;
    return at > this.began;
  }
}

function tabName(known: string | null): string {
  const name = known ?? uuid();
  writeStored('sessionStorage', TAB, name);
  return name;
}

/** Ties an outbox to the page it is of: takes up what was left, says that it lives, leaves nothing behind. */
export function tie(outbox: Outbox, keeper: Keeper): void {
  forgetOldDrafts(Date.now());
  outbox.adopt(keeper.takeUp());
  setInterval(() => {
    outbox.keepAgain();
    const left = keeper.takeUp();
    if (left.length > 0) outbox.adopt(left);
  }, SIGN_OF_LIFE_MS);
  window.addEventListener('pagehide', () => outbox.leave());
  window.addEventListener('pageshow', ({ persisted }) => {
    if (!persisted) return;
    outbox.forgetAll();
    keeper.forget();
    outbox.adopt(keeper.takeUp());
  });
  // Only another tab's writing is told of here.
  window.addEventListener('storage', ({ key, newValue }) => {
    if (keeper.isTaken(key, newValue)) keeper.rename();
  });
  window.addEventListener('beforeunload', (event) => {
    if (outbox.wouldLose()) event.preventDefault();
  });
}
