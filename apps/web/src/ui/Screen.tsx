/** One place or page: a header with the way back and the two switches, then content that scrolls by itself. */
import { useRouter } from 'expo-router';
import { type ReactNode, memo, useEffect } from 'react';
import { ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from './Action';
import { Switches } from './Switches';
import { Words } from './Words';
import { useLayout } from './useWidth';

export interface ScreenProps {
  title: string;
  /** Under the title, small. */
  subtitle?: ReactNode;
  back?: { title: string; href: string };
  children: ReactNode;
  /** Stays at the bottom while the content scrolls. */
  footer?: ReactNode;
  /** Leaves out the switches where another pane beside this one has them. */
  plain?: boolean;
  padded?: boolean;
}

export function Screen({ title, subtitle, back, children, footer, plain = false, padded = true }: ScreenProps) {
  const { colours } = useTheme();
  const column = useLayout() === 'column';
  useEffect(() => {
    if (!plain) document.title = `${title} · Torvin`;
  }, [title, plain]);
  const width = column ? ({ maxWidth: COLUMN_WIDTH, width: '100%', alignSelf: 'center' } as const) : null;
  return (
    <View style={{ flex: 1, backgroundColor: colours.ground }} role={plain ? undefined : 'main'}>
      <ScrollView contentContainerStyle={{ flexGrow: 1, paddingBottom: space.huge }} testID="screen-scroll">
        <View style={width}>
          <View style={{ paddingHorizontal: space.large, paddingTop: space.hair }}>
            <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', minHeight: 48, marginLeft: -space.small }}>
              {back ? <BackLink {...back} /> : <View />}
              {!plain && <Switches />}
            </View>
            <Words size="heading" bold role="heading" aria-level={plain ? 2 : 1}>
              {title}
            </Words>
            {typeof subtitle === 'string' ? (
              <Words size="label" tone="muted">
                {subtitle}
              </Words>
            ) : (
              subtitle
            )}
          </View>
          <View style={padded ? { paddingHorizontal: space.large, paddingTop: space.large } : { paddingTop: space.medium }}>{children}</View>
        </View>
      </ScrollView>
      {footer}
    </View>
  );
}

/** Kept from rendering with the page: it never changes while a bead is dragged. */
const BackLink = memo(function BackLink({ title, href }: NonNullable<ScreenProps['back']>) {
  const router = useRouter();
  return <Action kind="plain" title={`‹ ${title}`} label={`Back to ${title}`} onPress={() => router.navigate(href as never)} />;
});
