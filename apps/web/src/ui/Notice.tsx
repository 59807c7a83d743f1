/** Something to know before going on. Warnings differ by shape and word as well as colour. */
import { type ReactNode, memo } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from './Words';
import { NOTICE } from './said';

export interface NoticeProps {
  tone: 'warn' | 'care' | 'plain';
  children: ReactNode;
  actions?: ReactNode;
  testID?: string;
}

const LEADS = { warn: '', care: NOTICE.takeCare, plain: '' } as const;

export const Notice = memo(function Notice({ tone, children, actions, testID }: NoticeProps) {
  const { colours } = useTheme();
  const colour = tone === 'warn' ? colours.warn : colours.muted;
  return (
    <View
      role={tone === 'warn' ? 'alert' : undefined}
      testID={testID}
      style={{
        borderLeftWidth: 4,
        borderColor: colour,
        backgroundColor: colours.surface,
        padding: space.medium,
        marginVertical: space.small,
        gap: space.small,
      }}
    >
      <View style={{ flexDirection: 'row', gap: space.small }}>
        {tone !== 'plain' && <WarningSign colour={colour} />}
        <View style={{ flex: 1 }}>
          <Words size={tone === 'care' ? 'label' : 'text'} bold={tone === 'warn'} tone={tone === 'warn' ? 'warn' : 'ink'}>
            {LEADS[tone]}
            {children}
          </Words>
        </View>
      </View>
      {actions && <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>{actions}</View>}
    </View>
  );
});

/** A kite with a bar: a shape that nothing else here has. */
export function WarningSign({ colour, size = 18 }: { colour: string; size?: number }) {
  return (
    <Svg width={size} height={size} viewBox="0 0 18 18" aria-hidden>
      <Path d="M9 1 L17 9 L9 17 L1 9 Z" fill="none" stroke={colour} strokeWidth={2} />
      <Path d="M9 5.5 V10 M9 11.8 V13" stroke={colour} strokeWidth={2} />
    </Svg>
  );
}
