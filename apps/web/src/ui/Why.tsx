/** 'why?': opens the reckoning behind a sentence, with the figures put in. */
import KitButton from '@rneui/themed/dist/Button';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Words } from './Words';
import { WHY } from './said';

export interface WhyProps {
  children: ReactNode;
  lines: readonly string[];
  /** What the sentence is about, for those who hear only 'why?'. */
  of: string;
  /** Under the lines. */
  drawing?: ReactNode;
  testID?: string;
}

export function Why({ children, lines, of, drawing, testID }: WhyProps) {
  const { colours } = useTheme();
  const [open, setOpen] = useState(false);
  if (lines.length === 0) return <View style={{ paddingVertical: space.hair }}>{children}</View>;
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <View style={{ flex: 1 }}>{children}</View>
        <KitButton
          type="clear"
          aria-expanded={open}
          aria-label={WHY.why(of)}
          onPress={() => setOpen(!open)}
          testID={testID}
          buttonStyle={{ minWidth: TARGET, paddingHorizontal: 0 }}
        >
          <Words tone="touch">{WHY.whyLabel}</Words>
        </KitButton>
      </View>
      {open && (
        <View
          style={{ borderLeftWidth: 2, borderColor: colours.line, paddingLeft: space.medium, marginBottom: space.small }}
          testID={testID && `${testID}-lines`}
        >
          {lines.map((line) => (
            <Words key={line} size="label">
              {line}
            </Words>
          ))}
          {drawing}
        </View>
      )}
    </View>
  );
}
