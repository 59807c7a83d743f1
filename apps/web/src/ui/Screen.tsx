/** One place or page: a header with the way back, then content that scrolls by itself. */
import { type Href, useRouter } from 'expo-router';
import { type ReactNode, memo } from 'react';
import { ScrollView, View } from 'react-native';
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

export interface HeaderProps {
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

export function useColumnWidth() {
  return useLayout() === 'column' ? ({ maxWidth: COLUMN_WIDTH, width: '100%', alignSelf: 'center' } as const) : null;
}

/** A landmark of its own: the page's, or a named one beside it. */
export function Page({ plain = false, title, children }: { plain?: boolean; title: string; children: ReactNode }) {
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

export function Header({ title, of, subtitle, back, actions, plain = false }: HeaderProps) {
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
