import { useVirtualizer } from '@tanstack/react-virtual';
import { type ReactElement, type ReactNode, useDeferredValue, useEffect, useRef, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { space } from '@/theme/theme';
import { Header, type HeaderProps, Page, useColumnWidth } from './Screen';

export interface ListScreenProps<T> extends HeaderProps {
  items: readonly T[];
  keyOf(item: T): string;
  renderItem(item: T): ReactElement;
  /** Every row is as tall as this, px. */
  rowHeight: number;
  /** Between the header and the list. */
  before?: ReactNode;
  onNearEnd?(): void;
  place?: ListPlace;
  /** Stays at the bottom while the list scrolls. */
  footer?: ReactNode;
}

export interface ListPlace {
  /** The row that is to be at the top. */
  row: number;
  /** Told which one has come there. */
  onRow(row: number): void;
}

/** Rows beyond those in sight, above and below. */
const BEYOND = 5;
/** More are asked for when so many are left below: a finger scrolls faster than a server answers. */
const NEAR_END = 40;

/** A page that is one long list: only the rows in sight exist, and each is drawn once as it comes there. */
export function ListScreen<T>({ items, keyOf, renderItem, rowHeight, before, onNearEnd, place, footer, ...header }: ListScreenProps<T>) {
  'use no memo'; // What is in sight changes within an object that stays the same.
  const width = useColumnWidth();
  const scroll = useRef<ScrollView>(null);
  const [headHeight, setHeadHeight] = useState(0);
  // Rows that have come are drawn in small portions, so that fingers and keys are not kept waiting.
  const drawn = useDeferredValue(items);
  const shown = useRef(0);
  const onRow = place?.onRow;
  const list = useVirtualizer({
    count: drawn.length,
    getScrollElement: () => (scroll.current?.getScrollableNode() as HTMLElement | undefined) ?? null,
    estimateSize: () => rowHeight,
    getItemKey: (index) => keyOf(drawn[index]),
    scrollMargin: headHeight,
    overscan: BEYOND,
    initialRect: { width: 0, height: window.innerHeight },
    useFlushSync: false,
    onChange({ scrollOffset }) {
      if (!onRow || headHeight === 0) return;
      const at = Math.max(0, Math.round(((scrollOffset ?? 0) - headHeight) / rowHeight));
      if (at === shown.current) return;
      shown.current = at;
      onRow(at);
    },
  });
  // The row that was last asked for: another one comes from outside, while more rows that are read move nothing.
  const asked = useRef(0);
  const row = place?.row ?? 0;
  useEffect(() => {
    if (headHeight === 0 || row === asked.current || row >= drawn.length) return;
    asked.current = row;
    // It is there already, perhaps by half a row.
    if (row === shown.current) return;
    shown.current = row;
    scroll.current?.scrollTo({ y: row === 0 ? 0 : headHeight + row * rowHeight, animated: false });
  }, [row, drawn.length, headHeight, rowHeight]);
  const rows = list.getVirtualItems();
  const last = rows.at(-1)?.index ?? 0;
  const nearEnd = useRef(onNearEnd);
  nearEnd.current = onNearEnd;
  useEffect(() => (last >= drawn.length - NEAR_END ? nearEnd.current?.() : undefined), [last, drawn.length]);
  return (
    <Page plain={header.plain} title={header.title}>
      <ScrollView ref={scroll} style={{ flex: 1 }} testID="screen-scroll">
        <View style={[width, { paddingBottom: space.medium }]} onLayout={({ nativeEvent }) => setHeadHeight(nativeEvent.layout.height)}>
          <Header {...header} />
          {before}
        </View>
        <View style={[width, { height: drawn.length * rowHeight }]}>
          {rows.map(({ key, index }) => (
            <View key={key} style={{ position: 'absolute', left: 0, right: 0, top: index * rowHeight, height: rowHeight }}>
              {renderItem(drawn[index])}
            </View>
          ))}
        </View>
      </ScrollView>
      {footer}
    </Page>
  );
}
