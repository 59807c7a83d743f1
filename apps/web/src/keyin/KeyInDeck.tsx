/**
 * One figure at a time, large and dark, for a gloved thumb at the kiln: what the controller asks, what to key, how far one is. It stands
 * over the whole page, upright or lying flat, and keeps the screen lit.
 */
import { type Controller, type KeyedSegment, figuresKeyed, profileOf } from '@torvin/core/controller';
import type { Role } from '@torvin/core/kiln';
import { ROLE_NAMES } from '@torvin/core/schedule';
import type { Program } from '@torvin/schema';
import { useState } from 'react';
import { Modal, Pressable, View, useWindowDimensions } from 'react-native';
import KitText from '@rneui/themed/dist/Text';
import { Dressed, useTheme } from '@/theme/ThemeContext';
import { fonts, scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { useAwake } from '@/ui/useAwake';
import { KEY_IN_DECK } from './words';
import { WORDS } from '@/ui/said';

export interface KeyInDeckProps {
  rows: readonly KeyedSegment[];
  roles: readonly Role[];
  controller: Controller;
  /** Program that it is keyed into, and what stands there until it is. */
  slot: number;
  older?: Program;
  /** Rows that are keyed already: it begins at the first that is not. */
  keyed: ReadonlySet<number>;
  /** All figures of a row were keyed. */
  onKeyed(row: number): void;
  /** Every figure was keyed. */
  onDone(): void;
  onClose(): void;
}

export function KeyInDeck(props: KeyInDeckProps) {
  return (
    <Modal visible aria-label={KEY_IN_DECK.keyOneFigure} animationType="none" onRequestClose={props.onClose}>
      <Dressed name="dark">
        <Deck {...props} />
      </Dressed>
    </Modal>
  );
}

/** Units as one would say them. */
const UNIT_WORDS: Partial<Record<string, string>> = { min: 'minutes', 'h.min': KEY_IN_DECK.hoursAndMinutes, 'h:min': KEY_IN_DECK.hoursAndMinutes };

const FIGURE_PX = 112;
const NEXT_PX = 104;

function Deck({ rows, roles, controller, slot, older, keyed, onKeyed, onDone, onClose }: KeyInDeckProps) {
  const { colours } = useTheme();
  const { width, height } = useWindowDimensions();
  useAwake(true);
  const profile = profileOf(controller);
  const cards = rows.flatMap((row, segment) =>
    figuresKeyed(row, controller).map((figure) => ({ ...figure, segment, isCode: figure.kind === 'rate' && row.fullSpeed })),
  );
  const [at, setAt] = useState(() =>
    Math.max(
      cards.findIndex(({ segment }) => !keyed.has(segment)),
      0,
    ),
  );
  const card = cards[at];
  const last = at === cards.length - 1;
  const asks = { rate: profile.rateWords, target: profile.targetWords, hold: profile.holdWords }[card.kind];
  const about = card.isCode
    ? KEY_IN_DECK.fastCan
    : (UNIT_WORDS[card.unit] ?? card.unit.replace('/h', KEY_IN_DECK.anHour(profile.unit)).replace('/min', KEY_IN_DECK.aMinute(profile.unit)));
  const flat = width > height;
  // Only where the controller shows an older program's figures, and only what is another.
  const oldRow = profile.keepsOld ? older?.rows[card.segment] : undefined;
  const oldFigure = oldRow && figuresKeyed({ ...oldRow, fullSpeed: false }, controller).find(({ kind }) => kind === card.kind)?.figure;
  const stood = oldFigure === undefined || oldFigure === card.figure ? null : oldFigure;
  const notes = [
    ...(at === 0 ? [profile.programs > 1 ? KEY_IN_DECK.inProgram(slot) : KEY_IN_DECK.programMayWritten] : []),
    ...(stood === null ? [] : [KEY_IN_DECK.showsUntilThen(stood)]),
    ...(at === 0 && profile.ends === 'count' ? [KEY_IN_DECK.asksFirstHow(rows.length)] : []),
    ...(last && rows.length < profile.mostSegments && profile.ends === 'done' ? [KEY_IN_DECK.thenEndProgram] : []),
    ...(last && rows[card.segment].ends ? [KEY_IN_DECK.holdNoneFiring] : []),
    ...(last && rows.length < profile.mostSegments && profile.ends === 'zero' ? [KEY_IN_DECK.thenKeyEnds] : []),
  ];
  return (
    <View style={{ flex: 1, backgroundColor: colours.ground, flexDirection: flat ? 'row' : 'column' }} testID="key-in-deck">
      <View style={{ flex: 1, padding: space.large, justifyContent: 'space-between', gap: space.small }}>
        <View style={{ gap: space.small }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: space.medium }}>
            <Words bold role="heading" aria-level={1} testID="deck-segment">
              {KEY_IN_DECK.segmentOf(card.segment + 1, rows.length, ROLE_NAMES[roles[card.segment]].toLowerCase())}
            </Words>
            <Action kind="plain" title={WORDS.close} testID="close-deck" onPress={onClose} />
          </View>
          <View
            role="progressbar"
            aria-label={KEY_IN_DECK.keyed}
            aria-valuenow={at}
            aria-valuemax={cards.length}
            style={{ height: 7, borderBottomWidth: 1, borderColor: colours.line, backgroundColor: colours.line }}
          >
            <View style={{ width: `${(100 * at) / cards.length}%`, borderTopWidth: 6, borderColor: colours.touch }} />
          </View>
        </View>
        <View aria-live="polite">
          <Words size="title" tone="muted" testID="deck-asks">
            {asks}
          </Words>
          <KitText
            adjustsFontSizeToFit
            style={{
              fontFamily: fonts.figuresBold,
              fontSize: scaled(FIGURE_PX),
              lineHeight: scaled(FIGURE_PX * 1.1),
              color: colours.ink,
              fontVariant: ['lining-nums', 'tabular-nums'],
            }}
            testID="deck-figure"
          >
            {card.figure}
          </KitText>
          <Words size="title">{about}</Words>
        </View>
        <View style={{ minHeight: scaled(48) }} testID="deck-notes">
          {notes.map((note) => (
            <Words key={note}>{note}</Words>
          ))}
        </View>
      </View>
      <View style={flat ? { width: 280, padding: space.large, gap: space.medium, justifyContent: 'flex-end' } : { padding: space.large, gap: space.medium }}>
        <Pressable
          role="button"
          aria-label={last ? KEY_IN_DECK.keyedNowRead : KEY_IN_DECK.keyedNext}
          onPress={() => {
            if (cards[at + 1]?.segment !== card.segment) onKeyed(card.segment);
            if (last) onDone();
            else setAt(at + 1);
          }}
          style={{ flexGrow: flat ? 1 : 0, minHeight: NEXT_PX, alignItems: 'center', justifyContent: 'center', backgroundColor: colours.touch }}
          testID="deck-next"
        >
          <Words size="heading" bold tone="onTouch">
            {last ? KEY_IN_DECK.keyedReadBack : KEY_IN_DECK.keyedNextTitle}
          </Words>
        </Pressable>
        <Pressable
          role="button"
          aria-disabled={at === 0}
          disabled={at === 0}
          onPress={() => setAt(at - 1)}
          style={{ minHeight: 64, alignItems: 'center', justifyContent: 'center', borderWidth: 1, borderColor: at === 0 ? colours.line : colours.touch }}
          testID="deck-back"
        >
          <Words size="title" tone={at === 0 ? 'muted' : 'touch'}>
            {KEY_IN_DECK.backOne}
          </Words>
        </Pressable>
      </View>
    </View>
  );
}
