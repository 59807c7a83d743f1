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
    <Modal visible aria-label="To key in, one figure at a time" animationType="none" onRequestClose={props.onClose}>
      <Dressed name="dark">
        <Deck {...props} />
      </Dressed>
    </Modal>
  );
}

/** Units as one would say them. */
const WORDS: Partial<Record<string, string>> = { min: 'minutes', 'h.min': 'hours and minutes', 'h:min': 'hours and minutes' };

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
    ? 'as fast as it can'
    : (WORDS[card.unit] ?? card.unit.replace('/h', `${profile.unit} an hour`).replace('/min', `${profile.unit} a minute`));
  const flat = width > height;
  // Only where the controller shows an older program's figures, and only what is another.
  const oldRow = profile.keepsOld ? older?.rows[card.segment] : undefined;
  const oldFigure = oldRow && figuresKeyed({ ...oldRow, fullSpeed: false }, controller).find(({ kind }) => kind === card.kind)?.figure;
  const stood = oldFigure === undefined || oldFigure === card.figure ? null : oldFigure;
  const notes = [
    ...(at === 0 ? [profile.programs > 1 ? `In program ${slot}.` : 'In a program that may be written over.'] : []),
    ...(stood === null ? [] : [`It shows ${stood} there until then, from an older program.`]),
    ...(at === 0 && profile.ends === 'count' ? [`It asks first how many segments: ${rows.length}.`] : []),
    ...(last && rows.length < profile.mostSegments && profile.ends === 'done' ? ['Then end the program.'] : []),
    ...(last && rows[card.segment].ends ? ['This hold is none of the firing: it ends the program.'] : []),
    ...(last && rows.length < profile.mostSegments && profile.ends === 'zero' ? ['Then key 0: that ends the program.'] : []),
  ];
  return (
    <View style={{ flex: 1, backgroundColor: colours.ground, flexDirection: flat ? 'row' : 'column' }} testID="key-in-deck">
      <View style={{ flex: 1, padding: space.large, justifyContent: 'space-between', gap: space.small }}>
        <View style={{ gap: space.small }}>
          <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center', gap: space.medium }}>
            <Words
              bold
              role="heading"
              aria-level={1}
              testID="deck-segment"
            >{`Segment ${card.segment + 1} of ${rows.length}, ${ROLE_NAMES[roles[card.segment]].toLowerCase()}`}</Words>
            <Action kind="plain" title="Close" testID="close-deck" onPress={onClose} />
          </View>
          <View
            role="progressbar"
            aria-label="Keyed"
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
          aria-label={last ? 'Keyed; now read it back' : 'Keyed; next'}
          onPress={() => {
            if (cards[at + 1]?.segment !== card.segment) onKeyed(card.segment);
            if (last) onDone();
            else setAt(at + 1);
          }}
          style={{ flexGrow: flat ? 1 : 0, minHeight: NEXT_PX, alignItems: 'center', justifyContent: 'center', backgroundColor: colours.touch }}
          testID="deck-next"
        >
          <Words size="heading" bold tone="onTouch">
            {last ? 'Keyed, read it back' : 'Keyed, next'}
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
            Back one
          </Words>
        </Pressable>
      </View>
    </View>
  );
}
