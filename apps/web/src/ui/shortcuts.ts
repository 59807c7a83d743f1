/** Keys on wide screens: which of them mean what, decided apart from the page that does it. */
import type { Href } from 'expo-router';
import { readStored, writeStored } from '@/outside/storage';
import { told, useTold } from '@/outside/told';
import { PLACES } from './places';
import { FIND, HELP } from './shared';

export interface Shortcut {
  keys: string;
  does: string;
}

export type Meaning = { go: Href } | { press: string } | { open: string } | null;

export const SHORTCUTS: readonly Shortcut[] = [
  { keys: `g then ${PLACES.map(({ key }) => key).join(', ')}`, does: `go to ${PLACES.map(({ name }) => name).join(', ')}` },
  { keys: 'n', does: 'new piece' },
  { keys: '/', does: 'find anything' },
  { keys: 'r', does: 'Reckon, and away again' },
  { keys: 'Ctrl or Cmd Z', does: 'undo on a piece or its run sheet, with shift redo; u also undoes' },
  { keys: 'arrows', does: 'on a bead 1 °, with shift 10; on the drawing the layer, with shift its place' },
  { keys: 't, Delete', does: 'on the drawing turn the layer over, take it away' },
  { keys: 'Page up and down, arrows, [ ]', does: 'on the plan choose a part, move it, turn it, with shift farther' },
  { keys: 'Tab', does: 'from joint to joint' },
  { keys: '?', does: 'help for this page' },
];

/** before: the key pressed just before this one, if that was lately. */
export function meaningOf(key: string, before: string | null): Meaning {
  if (before === 'g') {
    const place = PLACES.find((one) => one.key === key);
    return place ? { go: place.href } : null;
  }
  switch (key) {
    case 'n':
      return { go: '/pieces/new' };
    case '/':
      return { open: FIND };
    case 'r':
      return { press: 'open-reckon' };
    case 'u':
      return { press: 'undo' };
    case '?':
      return { open: HELP };
    default:
      return null;
  }
}

/** With Ctrl or Cmd held. */
export function chordOf(key: string, shift: boolean): Meaning {
  if (key.toLowerCase() === 'z') return { press: shift ? 'redo' : 'undo' };
  return key.toLowerCase() === 'y' && !shift ? { press: 'redo' } : null;
}

const KEPT = 'torvin-letters';
const letters = told(readStored<unknown>('localStorage', KEPT) !== false);

/** Whether a letter alone does something, on this device: speech input and some keyboards send letters that nobody meant. */
export const useLetters = (): boolean => useTold(letters);
export const lettersAreOn = (): boolean => letters.get();
export function setLetters(on: boolean): void {
  letters.set(on);
  writeStored('localStorage', KEPT, on);
}

/** Where a key is text, it means itself. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));
