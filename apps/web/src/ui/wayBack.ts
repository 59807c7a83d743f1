/**
 * Back closes what lies open over a page. While something is open, one more step stands in the browser's history: the page's
 * own entry again, marked. The router is never told of it: it knows its entries by their id, which the step shares, and the
 * events that lead to or from the step end here, before they reach it.
 */

/** What the router writes into an entry, and the mark of a step. */
interface EntryState {
  id?: string;
  over?: boolean;
}

export type HistoryWindow = Pick<Window, 'history' | 'location' | 'addEventListener' | 'setTimeout' | 'clearTimeout'>;

export interface WayBack {
  /** To be called when something has been opened or closed: puts the step there, or takes it away. */
  settle(): void;
}

/** So long going forward may take. */
const FORWARD_MS = 100;

const stateOf = (history: History): EntryState => (history.state as EntryState | null) ?? {};

/** somethingOpen: over the page that is shown. closeLast: the last of what is open is closed by the person. */
export function makeWayBack(window: HistoryWindow, somethingOpen: () => boolean, closeLast: () => void): WayBack {
  const { history, location } = window;
  /** The step that we stand on; null where there is none. */
  let step: { id?: string; path: string } | null = null;
  /** We have asked for the way back ourselves, because all was closed by other means. */
  let leaving = false;
  /** The entry that was come to last by going through the history. */
  let cameTo: string | undefined;
  let timer = 0;

  const path = (): string => location.pathname + location.search;
  const onStep = (): boolean => step !== null && stateOf(history).id === step.id && path() === step.path;

  function settle(): void {
    window.clearTimeout(timer);
    // Later in this turn one thing may give way to the next, or the router go to another page.
    timer = window.setTimeout(() => {
      // Another page has been opened from under what was open: its step stays behind, and is passed over on the way back.
      if (!onStep()) step = null;
      if (somethingOpen() && step === null) {
        history.pushState({ ...stateOf(history), over: true }, '');
        step = { id: stateOf(history).id, path: path() };
        cameTo = undefined;
      } else if (!somethingOpen() && step !== null) {
        leaving = true;
        history.back();
      }
    });
  }

  /** A step whose page has nothing open any more: on in the same direction, and back where there is nothing beyond. */
  function passOver(forward: boolean): void {
    if (!forward) return history.back();
    history.forward();
    window.setTimeout(() => stateOf(history).over && step === null && history.back(), FORWARD_MS);
  }

  window.addEventListener(
    'popstate',
    (event) => {
      const { id, over = false } = (event.state as EntryState | null) ?? {};
      const fromStep = step !== null && step.id === id && step.path === path();
      const asked = leaving;
      step = null;
      leaving = false;
      if (over) {
        event.stopImmediatePropagation();
        passOver(id === cameTo);
        return;
      }
      cameTo = id;
      if (!fromStep) return;
      event.stopImmediatePropagation();
      if (!asked) closeLast();
      settle();
    },
    { capture: true },
  );

  // A step put there while the browser is on its way to another site would call it back.
  window.addEventListener('beforeunload', () => window.clearTimeout(timer));

  // A page that is read anew has nothing open.
  if (stateOf(history).over) history.back();
  return { settle };
}
