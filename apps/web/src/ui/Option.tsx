/**
 * One touch of a group, on the kit's chip: a radio button, or a button that stays pressed. The kit's ButtonGroup will not do:
 * it gives all its buttons the same properties, so that none can say that it is the chosen one.
 */
import KitChip from '@rneui/themed/dist/Chip';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { Words } from './Words';
import { spaceChooses } from './spaceChooses';

export interface OptionProps {
  /** 'act' goes on at once, and stays as it is. */
  as: 'radio' | 'pressed' | 'act';
  chosen: boolean;
  title: string;
  note?: string;
  small?: boolean;
  /** Before the title. The chosen one then stands out by its border alone, so that a colour in it stays what it is. */
  mark?: ReactNode;
  /** Takes its share of a row that is not full. */
  grows?: boolean;
  onPress(): void;
  testID?: string;
}

export function Option({ as, chosen, title, note, small = false, mark, grows = false, onPress, testID }: OptionProps) {
  const { colours } = useTheme();
  const filled = chosen && mark === undefined;
  return (
    <KitChip
      {...(as === 'radio'
        ? ({ role: 'radio', 'aria-checked': chosen, ...spaceChooses(onPress) } as const)
        : ({ role: 'button', ...(as === 'pressed' ? { 'aria-pressed': chosen } : {}) } as const))}
      onPress={onPress}
      testID={testID}
      containerStyle={{ flexGrow: grows ? 1 : 0, maxWidth: '100%' }}
      style={{ flexGrow: 1 }}
      buttonStyle={{
        borderWidth: chosen && !filled ? 2 : 1,
        borderColor: chosen ? colours.touch : colours.muted,
        backgroundColor: filled ? colours.touch : colours.surface,
      }}
    >
      {mark}
      <View style={{ flexShrink: 1 }}>
        <Words size={small ? 'label' : 'text'} bold={chosen} tone={filled ? 'onTouch' : 'touch'}>
          {title}
        </Words>
        {note !== undefined && (
          <Words size="note" tone={filled ? 'onTouch' : 'muted'}>
            {note}
          </Words>
        )}
      </View>
    </KitChip>
  );
}
