/** A drag that takes what lies under it: a finger that moves at once scrolls the page, one that rests first takes; a mouse takes at once. */
import { type RefObject, useEffect, useRef } from 'react';
import type { View } from 'react-native';
import { elementOf } from './elementOf';
import { ofFingers } from './ofFingers';
import { Gesture, type PanGesture } from 'react-native-gesture-handler';

const HOLD_MS = 220;

/** byMouse: from when on a mouse drags. */
export function takingPan(byMouse: (pan: PanGesture) => unknown): PanGesture {
  const pan = Gesture.Pan().runOnJS(true);
  if (ofFingers()) pan.activateAfterLongPress(HOLD_MS);
  else byMouse(pan);
  return pan;
}

/**
 * Once something is taken, the finger's way is its own and not the page's. Listening from the start: a browser asks when the finger
 * comes down whether anybody will want its way. To be put on what holds it all.
 */
export function useHoldsPage(isTaken: () => boolean): RefObject<View | null> {
  const holder = useRef<View>(null);
  const asked = useRef(isTaken);
  asked.current = isTaken;
  useEffect(() => {
    const node = elementOf(holder);
    const stay = (event: TouchEvent): void => {
      if (asked.current()) event.preventDefault();
    };
    node?.addEventListener('touchmove', stay, { passive: false });
    return () => node?.removeEventListener('touchmove', stay);
  }, []);
  return holder;
}
