/**
 * What to take care of. It is in full the first time on this device for each kind of work, and again after 90 days; else one line that
 * opens. Where the work itself is started, what harms lungs, eyes and hands is always in full.
 */
import KitListItem from '@rneui/themed/dist/ListItem';
import { useEffect, useState } from 'react';
import { readStored, writeStored } from '@/outside/storage';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Notice, WarningSign } from './Notice';
import { Words } from './Words';
import { CAUTION } from './said';

export interface CautionProps {
  /** The kind of work. */
  about: string;
  /** The work is started here. */
  starts?: boolean;
  /** One line here even the first time: it is in full where the work is started. */
  brief?: boolean;
  children: string;
  testID?: string;
}

const MET = 'torvin.cautions-met';
const REMEMBERED = 400;
const AGAIN_AFTER_MS = 90 * 24 * 3600e3;
const HARMS = /respirator|steam|power off|burns? out|burn-out/i;

/** Each with when it was last in full. */
type Met = readonly (readonly [mark: string, at: number])[];

function met(): Met {
  const kept = readStored<unknown>('localStorage', MET);
  const now = Date.now();
  const isMet = (one: unknown): one is Met[number] => Array.isArray(one) && typeof one[0] === 'string' && typeof one[1] === 'number';
  return Array.isArray(kept) ? kept.filter(isMet).filter(([, at]) => at <= now && now - at < AGAIN_AFTER_MS) : [];
}

const isKnown = (mark: string): boolean => met().some(([one]) => one === mark);

/** A caution is known again by how it begins. */
const markOf = (about: string, text: string): string => `${about} ${text.slice(0, 24)}`;

/** Its first sentence. */
const firstOf = (text: string): string => /^.*?[.!](?=\s|$)/.exec(text)?.[0] ?? text;

export function Caution({ about, starts = false, brief = false, children, testID }: CautionProps) {
  const { colours } = useTheme();
  const mark = markOf(about, children);
  const [opened, setOpened] = useState<{ mark: string; open: boolean }>(() => ({ mark, open: !brief && !isKnown(mark) }));
  const open = (starts && HARMS.test(children)) || (opened.mark === mark ? opened.open : !brief && !isKnown(mark));
  useEffect(() => {
    if (brief) return;
    const isNew = !isKnown(mark);
    if (isNew) writeStored('localStorage', MET, [...met(), [mark, Date.now()]].slice(-REMEMBERED));
    setOpened((now) => (now.mark === mark ? now : { mark, open: isNew }));
  }, [brief, mark]);
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
          {CAUTION.takeCare(firstOf(children))}
        </Words>
      </KitListItem.Content>
      <Words size="label" tone="touch">
        {CAUTION.read}
      </Words>
    </KitListItem>
  );
}
