/** One place or page: a header with the way back and the two switches, then content that scrolls by itself. */
import { useRouter } from 'expo-router';
import { type ReactElement, type ReactNode, memo, useEffect } from 'react';
import { FlatList, ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, TARGET, space } from '@/theme/theme';
import { Action } from './Action';
import { Switches } from './Switches';
import { Words } from './Words';
import { useLayout } from './useWidth';

interface HeaderProps {
  title: string;
  /** Under the title, small. */
  subtitle?: ReactNode;
  back?: { title: string; href: string };
  /** Beside the title. */
  actions?: ReactNode;
  /** Leaves out the switches where another pane beside this one has them. */
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
  return (
    <Page plain={header.plain}>
      <ScrollView contentContainerStyle={{ flexGrow: 1, paddingBottom: space.huge }} testID="screen-scroll">
        <View style={width}>
          <Header {...header} />
          <View style={padded ? { paddingHorizontal: space.large, paddingTop: space.large } : { paddingTop: space.medium }}>{children}</View>
        </View>
      </ScrollView>
      {footer}
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
}

/** A page that is one long list: only the rows in sight exist. */
export function ListScreen<T>({ items, keyOf, renderItem, before, onNearEnd, ...header }: ListScreenProps<T>) {
  const width = useColumnWidth();
  return (
    <Page plain={header.plain}>
      <FlatList
        data={items}
        keyExtractor={keyOf}
        renderItem={({ item }) => <View style={width}>{renderItem(item)}</View>}
        ListHeaderComponent={
          <View style={[width, { paddingBottom: space.medium }]}>
            <Header {...header} />
            {before}
          </View>
        }
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

function Page({ plain = false, children }: { plain?: boolean; children: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View style={{ flex: 1, backgroundColor: colours.ground }} role={plain ? undefined : 'main'}>
      {children}
    </View>
  );
}

function Header({ title, subtitle, back, actions, plain = false }: HeaderProps) {
  useEffect(() => {
    if (!plain) document.title = `${title} · Torvin`;
  }, [title, plain]);
  return (
    <View style={{ paddingHorizontal: space.large, paddingTop: space.hair }}>
      <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', minHeight: TARGET, marginLeft: -space.small }}>
        <View style={{ flexShrink: 1, minWidth: TARGET }}>{back && <BackLink {...back} />}</View>
        {!plain && <Switches />}
      </View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <View style={{ flex: 1 }}>
          <Words size="heading" bold role="heading" aria-level={plain ? 2 : 1}>
            {title}
          </Words>
        </View>
        {actions}
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
const BackLink = memo(function BackLink({ title, href }: NonNullable<HeaderProps['back']>) {
  const router = useRouter();
  return <Action kind="plain" oneLine title={`‹ ${title}`} label={`Back to ${title}`} onPress={() => router.navigate(href as never)} />;
});
