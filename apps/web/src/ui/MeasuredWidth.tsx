/** Gives its child the width it has to draw in. */
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

export interface MeasuredWidthProps {
  /** Kept free until the width is known. */
  height?: number;
  children: (width: number) => ReactNode;
}

export function MeasuredWidth({ height, children }: MeasuredWidthProps) {
  const [width, setWidth] = useState(0);
  return (
    <View style={{ minHeight: height, width: '100%' }} onLayout={({ nativeEvent }) => setWidth(Math.floor(nativeEvent.layout.width))}>
      {width > 0 && children(width)}
    </View>
  );
}
