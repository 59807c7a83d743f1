/** What a finger drags on a page that stands before the gestures have been read: until then it is stepped by keys and tapped. */
import { type ComponentProps, type ReactElement, cloneElement, useMemo } from 'react';
import type { ViewProps } from 'react-native';
import type { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { told, useTold } from '@/outside/told';

interface Gestures {
  Gesture: typeof Gesture;
  GestureDetector: typeof GestureDetector;
}

export const gesturesRead = told<Gestures | null>(null);

type DetectorProps = ComponentProps<typeof GestureDetector>;

export interface DraggedProps extends Omit<DetectorProps, 'gesture' | 'children'> {
  /** Must keep its identity between renders: the gesture is made once. */
  make(gestures: Gestures['Gesture']): DetectorProps['gesture'];
  /** What a tap does until the gesture is made, which has its own. */
  onTap?(): void;
  children: ReactElement<ViewProps>;
}

export function Dragged({ make, onTap, children, ...rest }: DraggedProps) {
  const read = useTold(gesturesRead);
  const gesture = useMemo(() => read && make(read.Gesture), [read, make]);
  if (!read || !gesture) return onTap ? cloneElement(children, { onClick: onTap } as ViewProps) : children;
  return (
    <read.GestureDetector gesture={gesture} {...rest}>
      {children}
    </read.GestureDetector>
  );
}
