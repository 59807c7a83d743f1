/**
 * What to take care of. It stands in full the first time that it is met in a firing, so that it is read; after that as one line
 * that opens, so that it is not scrolled past for ever.
 */
import KitListItem from '@rneui/themed/dist/ListItem';
import { useEffect, useState } from 'react';
import { readStored, writeStored } from '@/outside/storage';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Notice, WarningSign } from './Notice';
import { Words } from './Words';

export interface CautionProps {
  /** The firing, piece or record that it is met in. */
  about: string;
  children: string;
  testID?: string;
}

const MET = 'torvin.cautions-met';
/** Enough for years; the oldest are met anew. */
const REMEMBERED = 400;

const met = (): string[] => readStored<string[]>('localStorage', MET) ?? [];

/** A caution is known again by how it begins. */
const markOf = (about: string, text: string): string => `${about} ${text.slice(0, 24)}`;

export function Caution({ about, children, testID }: CautionProps) {
  const { colours } = useTheme();
  const mark = markOf(about, children);
  const [opened, setOpened] = useState<{ mark: string; open: boolean }>(() => ({ mark, open: !met().includes(mark) }));
  const open = opened.mark === mark ? opened.open : !met().includes(mark);
  useEffect(() => {
    const before = met();
    if (!before.includes(mark)) writeStored('localStorage', MET, [...before, mark].slice(-REMEMBERED));
    setOpened((now) => (now.mark === mark ? now : { mark, open: !before.includes(mark) }));
  }, [mark]);
  if (open)
    return (
      <Notice tone="care" testID={testID}>
        {children}
      </Notice>
    );
  return (
    <KitListItem
      role="button"
      aria-expanded={false}
      onPress={() => setOpened({ mark, open: true })}
      testID={testID ?? 'caution-line'}
      style={{ marginVertical: space.small }}
      containerStyle={{ borderLeftWidth: 4, borderColor: colours.muted, paddingHorizontal: space.medium, paddingVertical: 0 }}
    >
      <WarningSign colour={colours.muted} />
      <KitListItem.Content>
        <Words size="label" numberOfLines={1}>
          {`Take care. ${children}`}
        </Words>
      </KitListItem.Content>
      <Words size="label" tone="touch">
        read
      </Words>
    </KitListItem>
  );
}
