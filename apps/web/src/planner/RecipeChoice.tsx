/** What a firing is for: the chosen kind with its drawing and its sentence; all the others, group by group, at a touch. */
import KitListItem from '@rneui/themed/dist/ListItem';
import { LOOKS, type Look, RECIPES, RECIPE_GROUPS, type RecipeGroup } from '@torvin/core/look';
import { useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { spaceChooses } from '@/ui/spaceChooses';
import { RecipeDrawing } from './RecipeDrawing';

export interface RecipeChoiceProps {
  value: Look;
  /** The group that is offered first. */
  first: RecipeGroup;
  onChange(look: Look): void;
}

const GROUPS = Object.keys(RECIPE_GROUPS) as RecipeGroup[];

export function RecipeChoice({ value, first, onChange }: RecipeChoiceProps) {
  const { colours } = useTheme();
  const [open, setOpen] = useState(false);
  const choose = (look: Look): void => {
    onChange(look);
    setOpen(false);
  };
  return (
    <View style={{ gap: space.hair, marginBottom: space.small }}>
      <Words size="label" tone="muted">
        What it is for
      </Words>
      <KitListItem
        role="button"
        aria-expanded={open}
        testID="choose-look"
        onPress={() => setOpen(!open)}
        containerStyle={{ padding: space.small, borderWidth: 1, borderColor: colours.touch, backgroundColor: colours.surface }}
      >
        <RecipeDrawing look={value} />
        <KitListItem.Content>
          <Words bold>{RECIPES[value].name}</Words>
          <Words size="label">{`${capital(RECIPES[value].reaches)}; ${RECIPES[value].spares}.`}</Words>
          <Words size="label" tone="touch">
            {open ? 'Keep this one' : 'Choose another kind'}
          </Words>
        </KitListItem.Content>
      </KitListItem>
      {open && (
        <View role="radiogroup" aria-label="What it is for">
          {[...GROUPS]
            .sort((a, b) => Number(b === first) - Number(a === first))
            .map((group) => (
              <View key={group}>
                <Words size="label" tone="muted" style={{ paddingTop: space.small }}>
                  {RECIPE_GROUPS[group]}
                </Words>
                {LOOKS.filter((look) => RECIPES[look].group === group).map((look) => (
                  <KitListItem
                    key={look}
                    role="radio"
                    aria-checked={look === value}
                    {...spaceChooses(() => choose(look))}
                    testID={`look-${look}`}
                    onPress={() => choose(look)}
                    containerStyle={{
                      paddingVertical: space.small,
                      paddingHorizontal: space.small,
                      borderTopWidth: 1,
                      borderColor: colours.line,
                      backgroundColor: look === value ? colours.surface : 'transparent',
                    }}
                  >
                    <RecipeDrawing look={look} />
                    <KitListItem.Content>
                      <Words bold tone="touch">
                        {RECIPES[look].name}
                      </Words>
                      <Words size="label" tone="muted">
                        {`${capital(RECIPES[look].reaches)}.`}
                      </Words>
                    </KitListItem.Content>
                  </KitListItem>
                ))}
              </View>
            ))}
        </View>
      )}
    </View>
  );
}
