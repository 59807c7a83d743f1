/**
 * For what lies open over a page: Escape and Back close it, the last opened first; the focus goes in, and comes back to where
 * it was.
 */
import { type RefObject, useEffect, useRef } from 'react';
import { makeWayBack } from './wayBack';

/** Arrows on a drawing open what they come to, and must go on from there. */
const drivesIt = (node: Element | null): boolean => node !== null && node.closest('[role="listbox"], [role="slider"]') !== null;

/** What is open, the last opened at the end. */
const opened: { close(): void }[] = [];
const wayBack = makeWayBack(
  window,
  () => opened.length > 0,
  () => opened.at(-1)?.close(),
);

export function useWayOut(inside: RefObject<HTMLElement | null>, onClose: () => void): void {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    const before = document.activeElement;
    if (!drivesIt(before)) inside.current?.focus({ preventScroll: true });
    const own = { close: () => close.current() };
    opened.push(own);
    wayBack.settle();
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape' || event.defaultPrevented || opened.at(-1) !== own) return;
      event.preventDefault();
      own.close();
    };
    document.addEventListener('keydown', onKey);
    return () => {
      document.removeEventListener('keydown', onKey);
      opened.splice(opened.indexOf(own), 1);
      wayBack.settle();
      const lost = document.activeElement === null || document.activeElement === document.body;
      if (lost && before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
    };
  }, [inside]);
}
