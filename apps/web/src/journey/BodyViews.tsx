/** From which side a body is looked at; how thick it is, once it is looked at from above. */
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { spaceChooses } from '@/ui/spaceChooses';
import { BODY_VIEWS } from './words';

export type BodyView = 'side' | 'above' | 'thick';

const VIEWS: readonly { value: BodyView; title: string }[] = [
  { value: 'side', title: BODY_VIEWS.fromTheSide },
  { value: 'above', title: BODY_VIEWS.fromAbove },
  { value: 'thick', title: BODY_VIEWS.howThick },
];

export function BodyViews({ value, onChange }: { value: BodyView; onChange(view: BodyView): void }) {
  const { colours } = useTheme();
  return (
    <View role="radiogroup" aria-label={BODY_VIEWS.lookedAt} style={{ flexDirection: 'row', backgroundColor: colours.surface }}>
      {VIEWS.filter((view) => view.value !== 'thick' || value !== 'side').map((view) => {
        const chosen = view.value === value;
        return (
          <Pressable
            key={view.value}
            role="radio"
            aria-checked={chosen}
            {...spaceChooses(() => onChange(view.value))}
            onPress={() => onChange(view.value)}
            testID={`view-${view.value}`}
            style={{
              flex: 1,
              minHeight: TARGET,
              alignItems: 'center',
              justifyContent: 'center',
              paddingHorizontal: space.hair,
              // None but of the chosen one: what is transparent is drawn too where a browser has its own colours.
              ...(chosen ? { borderBottomWidth: 3, borderColor: colours.touch } : { paddingBottom: 3 }),
            }}
          >
            <Words bold={chosen} tone="touch" style={{ textAlign: 'center' }}>
              {view.title}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}
