/** What a firing should make of the piece: the four likeliest drawn as they come out, all the others one tap away, found by their words. */
import KitListItem from '@rneui/themed/dist/ListItem';
import { LOOKS, type Look, RECIPES, RECIPE_GROUPS, type RecipeGroup, LOOK_NAMES } from '@torvin/core/look';
import type { DrawnBody } from '@torvin/core/piece';
import { formatTemperature, text } from '@torvin/core/units';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { SectionPicture } from '@/section/SectionDrawing';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { Search } from '@/ui/Search';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { spaceChooses } from '@/ui/spaceChooses';
import { RecipeDrawing } from './RecipeDrawing';
import { LOOKS_SHOWN } from './words';

/** A kind of firing with the piece as it comes out of it. */
export interface LikelyLook {
  look: Look;
  /** Null where that takes figures that are not known yet. */
  drawn: DrawnBody | null;
  /** About how hot it goes, °C. */
  top_C: number | null;
}

export interface LookChoiceProps {
  value: Look;
  /** The chosen one is among them. */
  likely: readonly LikelyLook[];
  /** The group that the whole list begins with. */
  first: RecipeGroup;
  onChange(look: Look): void;
}

const GROUPS = Object.keys(RECIPE_GROUPS) as RecipeGroup[];
const CARD = { width: 140, height: 56 } as const;

export function LookChoice({ value, likely, first, onChange }: LookChoiceProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const [closings, setClosings] = useState(0);
  const others = LOOKS.filter((look) => !likely.some((one) => one.look === look));
  const choose = (look: Look): void => {
    onChange(look);
    setClosings(closings + 1);
  };
  return (
    <View role="radiogroup" aria-label={LOOKS_SHOWN.question}>
      <Words size="title" bold style={{ paddingHorizontal: space.large, paddingVertical: space.small }}>
        {LOOKS_SHOWN.question}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingHorizontal: space.large, paddingBottom: space.medium }}>
        {likely.map(({ look, drawn, top_C }) => (
          <Pressable
            key={look}
            role="radio"
            aria-checked={look === value}
            {...spaceChooses(() => onChange(look))}
            onPress={() => onChange(look)}
            testID={`look-${look}`}
            style={{
              ...{ flexBasis: CARD.width, flexGrow: 1, padding: look === value ? space.small - 1 : space.small, gap: space.hair },
              ...{ borderWidth: look === value ? 2 : 1, borderColor: look === value ? colours.touch : colours.line, backgroundColor: colours.surface },
            }}
          >
            <View aria-hidden style={{ alignItems: 'center', height: CARD.height, justifyContent: 'center', overflow: 'hidden' }}>
              {drawn ? <SectionPicture {...drawn} {...CARD} /> : <RecipeDrawing look={look} />}
            </View>
            <Words bold tone={look === value ? 'touch' : 'ink'}>
              {LOOK_NAMES[look]}
            </Words>
            <Words size="note" tone="muted">
              {[RECIPES[look].reaches, ...(top_C === null ? [] : [text(formatTemperature(top_C, units.temperature))])].join(' · ')}
            </Words>
          </Pressable>
        ))}
      </View>
      <Fold key={closings} title={LOOKS_SHOWN.more(others.length)} about={LOOKS_SHOWN.moreAbout} testID="more-looks">
        {() => <OtherLooks looks={others} first={first} onChoose={choose} />}
      </Fold>
    </View>
  );
}

/** What a kind of firing is found by. */
const wordsOf = (look: Look): string =>
  `${LOOK_NAMES[look]} ${RECIPES[look].reaches} ${RECIPES[look].spares} ${RECIPE_GROUPS[RECIPES[look].group]}`.toLowerCase();

function OtherLooks({ looks, first, onChoose }: { looks: readonly Look[]; first: RecipeGroup; onChoose(look: Look): void }) {
  const { colours } = useTheme();
  const [wanted, setWanted] = useState('');
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = looks.filter((look) => words.every((word) => wordsOf(look).includes(word)));
  return (
    <View>
      <Search label={LOOKS_SHOWN.search(looks.length)} value={wanted} onChange={setWanted} hint={LOOKS_SHOWN.hint} testID="find-look" />
      {found.length === 0 && <Words testID="no-look">{LOOKS_SHOWN.none}</Words>}
      {[...GROUPS]
        .sort((a, b) => Number(b === first) - Number(a === first))
        .map((group) => ({ group, own: found.filter((look) => RECIPES[look].group === group) }))
        .filter(({ own }) => own.length > 0)
        .map(({ group, own }) => (
          <View key={group}>
            <Words size="label" tone="muted" style={{ paddingTop: space.small }}>
              {RECIPE_GROUPS[group]}
            </Words>
            {own.map((look) => (
              <KitListItem
                key={look}
                role="radio"
                aria-checked={false}
                {...spaceChooses(() => onChoose(look))}
                testID={`look-${look}`}
                onPress={() => onChoose(look)}
                containerStyle={{ padding: space.small, borderTopWidth: 1, borderColor: colours.line }}
              >
                <RecipeDrawing look={look} />
                <KitListItem.Content>
                  <Words bold tone="touch">
                    {LOOK_NAMES[look]}
                  </Words>
                  <Words size="label" tone="muted">
                    {`${capital(RECIPES[look].reaches)}; ${RECIPES[look].spares}.`}
                  </Words>
                </KitListItem.Content>
              </KitListItem>
            ))}
          </View>
        ))}
    </View>
  );
}
