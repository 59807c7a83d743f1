/** For what lies open over a page: Escape closes it, the focus goes in and comes back to where it was. */
import { type RefObject, useEffect, useRef } from 'react';

/** Arrows on a drawing open what they come to, and must go on from there. */
const drivesIt = (node: Element | null): boolean => node !== null && node.closest('[role="listbox"], [role="slider"]') !== null;

export function useWayOut(inside: RefObject<HTMLElement | null>, onClose: () => void): void {
  const close = useRef(onClose);
  useEffect(() => {
    close.current = onClose;
  });
  useEffect(() => {
    const before = document.activeElement;
    if (!drivesIt(before)) inside.current?.focus({ preventScroll: true });
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape' && !event.defaultPrevented) close.current();
    };
    document.addEventListener('keydown', onKey);
    return () => {
      document.removeEventListener('keydown', onKey);
      const lost = document.activeElement === null || document.activeElement === document.body;
      if (lost && before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
    };
  }, [inside]);
}
