/** The one strong colour: things that can be touched. */
import KitButton from '@rneui/themed/dist/Button';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, TARGET } from '@/theme/theme';
import { together } from './together';

export interface ActionProps {
  title: string;
  onPress(): void;
  kind?: 'main' | 'second' | 'plain';
  disabled?: boolean;
  /** Cut with an ellipsis where there is too little room for it on one line. */
  oneLine?: boolean;
  /** Read out instead of the title where the title is too short. */
  label?: string;
  testID?: string;
}

const TYPES = { main: 'solid', second: 'outline', plain: 'clear' } as const;

export function Action({ title, onPress, kind = 'main', disabled = false, oneLine = false, label, testID }: ActionProps) {
  const { colours } = useTheme();
  return (
    <KitButton
      type={TYPES[kind]}
      title={together(title)}
      onPress={onPress}
      disabled={disabled}
      accessibilityLabel={label ?? title}
      testID={testID}
      containerStyle={{ maxWidth: COLUMN_WIDTH }}
      titleProps={oneLine ? { numberOfLines: 1 } : undefined}
      titleStyle={{ color: kind === 'main' ? colours.onTouch : colours.touch }}
      disabledTitleStyle={{ color: colours.muted }}
      disabledStyle={{ backgroundColor: kind === 'main' ? colours.line : 'transparent', borderColor: colours.line }}
      buttonStyle={{ minWidth: TARGET, borderColor: colours.touch, ...(kind === 'plain' ? { paddingHorizontal: 8 } : {}) }}
    />
  );
}
