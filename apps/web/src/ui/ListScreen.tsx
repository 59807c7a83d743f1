import { type ReactElement, type ReactNode, useEffect, useRef, useState } from 'react';
import { FlatList, type NativeScrollEvent, type NativeSyntheticEvent, View } from 'react-native';
import { space } from '@/theme/theme';
import { Header, type HeaderProps, Page, useColumnWidth } from './Screen';

export interface ListScreenProps<T> extends HeaderProps {
  items: readonly T[];
  keyOf(item: T): string;
  renderItem(item: T): ReactElement;
  /** Between the header and the list. */
  before?: ReactNode;
  onNearEnd?(): void;
  place?: ListPlace;
  /** Stays at the bottom while the list scrolls. */
  footer?: ReactNode;
}

export interface ListPlace {
  /** Every row is as tall as this, px. */
  rowHeight: number;
  /** The row that is to be at the top. */
  row: number;
  /** Told which one has come there. */
  onRow(row: number): void;
}

/** A page that is one long list: only the rows in sight exist. */
export function ListScreen<T>({ items, keyOf, renderItem, before, onNearEnd, place, footer, ...header }: ListScreenProps<T>) {
  const width = useColumnWidth();
  const list = useRef<FlatList<T>>(null);
  const [headHeight, setHeadHeight] = useState(0);
  const shown = useRef(0);
  // The row that was last asked for: another one comes from outside, while more rows that are read move nothing.
  const asked = useRef(0);
  const { row = 0, rowHeight = 0 } = place ?? {};
  useEffect(() => {
    if (headHeight === 0 || row === asked.current || row >= items.length) return;
    asked.current = row;
    // It is there already, perhaps by half a row.
    if (row === shown.current) return;
    shown.current = row;
    list.current?.scrollToOffset({ offset: row === 0 ? 0 : headHeight + row * rowHeight, animated: false });
  }, [row, items.length, headHeight, rowHeight]);
  const onScroll = ({ nativeEvent }: NativeSyntheticEvent<NativeScrollEvent>): void => {
    if (!place || headHeight === 0) return;
    const at = Math.max(0, Math.round((nativeEvent.contentOffset.y - headHeight) / rowHeight));
    if (at === shown.current) return;
    shown.current = at;
    place.onRow(at);
  };
  return (
    <Page plain={header.plain} title={header.title}>
      <FlatList
        ref={list}
        data={items}
        keyExtractor={keyOf}
        renderItem={({ item }) => <View style={width}>{renderItem(item)}</View>}
        ListHeaderComponent={
          <View style={[width, { paddingBottom: space.medium }]} onLayout={({ nativeEvent }) => setHeadHeight(nativeEvent.layout.height)}>
            <Header {...header} />
            {before}
          </View>
        }
        getItemLayout={place && ((_, index) => ({ length: rowHeight, offset: headHeight + rowHeight * index, index }))}
        onScroll={onScroll}
        scrollEventThrottle={100}
        initialNumToRender={12}
        maxToRenderPerBatch={8}
        windowSize={7}
        onEndReached={onNearEnd}
        onEndReachedThreshold={1.5}
        testID="screen-scroll"
      />
      {footer}
    </Page>
  );
}
