/** One place or page: a header with the way back, then content that scrolls by itself. */
import { type Href, useRouter } from 'expo-router';
import { type ReactElement, type ReactNode, memo, useEffect, useRef, useState } from 'react';
import { FlatList, type NativeScrollEvent, type NativeSyntheticEvent, ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, TARGET, space } from '@/theme/theme';
import { Action } from './Action';
import { ConnectionWord } from './Connection';
import { Tools } from './Tools';
import { Words } from './Words';
import { MAIN_ID } from './SkipLink';
import { usePageTitle } from './announce';
import { isWide, useDrawerPlace, useLayout } from './useWidth';
import { SCREEN } from './said';

/** Where a page goes back to. */
export interface Back {
  title: string;
  href: Href;
}

interface HeaderProps {
  title: string;
  /** Whose page it is, where its title does not say so: named first to the browser and to who listens. */
  of?: string;
  /** Under the title, small. */
  subtitle?: ReactNode;
  back?: Back;
  /** Beside the title. */
  actions?: ReactNode;
  /** A pane beside another one, which has the page's own heading. */
  plain?: boolean;
}

export interface ScreenProps extends HeaderProps {
  children: ReactNode;
  /** Stays at the bottom while the content scrolls. */
  footer?: ReactNode;
  padded?: boolean;
}

export function Screen({ children, footer, padded = true, ...header }: ScreenProps) {
  const width = useColumnWidth();
  const { beside } = useDrawerPlace();
  return (
    <Page plain={header.plain} title={header.title}>
      <View style={{ flex: 1, flexDirection: beside ? 'row' : 'column' }}>
        <ScrollView style={{ flex: 1 }} contentContainerStyle={{ flexGrow: 1, paddingBottom: space.huge }} testID="screen-scroll">
          <View style={width}>
            <Header {...header} />
            <View style={padded ? { paddingHorizontal: space.large, paddingTop: space.large } : { paddingTop: space.medium }}>{children}</View>
          </View>
        </ScrollView>
        {footer}
      </View>
    </Page>
  );
}

export interface ListScreenProps<T> extends HeaderProps {
  items: readonly T[];
  keyOf(item: T): string;
  renderItem(item: T): ReactElement;
  /** Between the header and the list. */
  before?: ReactNode;
  onNearEnd?(): void;
  place?: ListPlace;
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
export function ListScreen<T>({ items, keyOf, renderItem, before, onNearEnd, place, ...header }: ListScreenProps<T>) {
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
    </Page>
  );
}

function useColumnWidth() {
  return useLayout() === 'column' ? ({ maxWidth: COLUMN_WIDTH, width: '100%', alignSelf: 'center' } as const) : null;
}

/** A landmark of its own: the page's, or a named one beside it. */
function Page({ plain = false, title, children }: { plain?: boolean; title: string; children: ReactNode }) {
  const { colours } = useTheme();
  const landmark = plain ? ({ role: 'region', 'aria-label': title } as const) : ({ role: 'main', id: MAIN_ID, tabIndex: -1 } as const);
  return (
    <View style={{ flex: 1, backgroundColor: colours.ground, outlineStyle: 'none' as never }} {...landmark}>
      {children}
    </View>
  );
}

/** A title that has less room than this has what is beside it go under it. */
const TITLE_WIDTH = 180;

function Header({ title, of, subtitle, back, actions, plain = false }: HeaderProps) {
  // Wide, they stand in the rail.
  const layout = useLayout();
  const tools = !plain && !isWide(layout);
  usePageTitle(of ? `${of}, ${title.charAt(0).toLowerCase()}${title.slice(1)}` : title, !plain);
  return (
    <View style={{ paddingHorizontal: space.large, paddingTop: space.hair }}>
      <View
        style={{
          flexDirection: 'row',
          alignItems: 'center',
          justifyContent: 'space-between',
          minHeight: back ? TARGET : space.small,
          marginLeft: -space.small,
        }}
      >
        <View style={{ flexShrink: 1, minWidth: TARGET }}>{back && <BackLink {...back} />}</View>
        <View style={{ flexDirection: 'row', alignItems: 'center' }}>
          {!plain && <ConnectionWord />}
          {tools && back && <Tools />}
        </View>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: space.small }}>
        <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: TITLE_WIDTH }}>
          <Words size="heading" bold role="heading" aria-level={plain ? 2 : 1}>
            {title}
          </Words>
        </View>
        {actions && <View style={{ flexDirection: 'row', flexShrink: 1 }}>{actions}</View>}
        {tools && !back && <Tools />}
      </View>
      {typeof subtitle === 'string' ? (
        <Words size="label" tone="muted">
          {subtitle}
        </Words>
      ) : (
        subtitle
      )}
    </View>
  );
}

/** Kept from rendering with the page: it never changes while a bead is dragged. */
const BackLink = memo(function BackLink({ title, href }: Back) {
  const router = useRouter();
  return <Action kind="plain" oneLine title={`‹ ${title}`} label={SCREEN.backTo(title)} onPress={() => router.navigate(href)} />;
});
