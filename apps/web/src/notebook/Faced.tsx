/** Which edges of the glass lay towards what in the kiln: asked, and drawn on its outline from above. */
import type { Footprint } from '@torvin/core/body';
import { EDGES, type Edge, FACED_NAMES, FACED_TO, type Faced, facedWords } from '@torvin/schema';
import { Fragment } from 'react';
import { View } from 'react-native';
import Svg, { G, Path, Text } from 'react-native-svg';
import { outlineIn } from '@/section/outline';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { FACED } from './words';

interface FacedFieldsProps {
  value: Faced;
  onChange(faced: Faced): void;
}

export function FacedFields({ value, onChange }: FacedFieldsProps) {
  return (
    <View style={{ gap: space.small }}>
      <Words size="note" tone="muted">
        {FACED.edgesPlanShows}
      </Words>
      {FACED_TO.map((to) => (
        <Choice<Edge | 'unsaid'>
          key={to}
          label={FACED.towards(FACED_NAMES[to])}
          value={value[to] ?? 'unsaid'}
          options={[{ value: 'unsaid', title: FACED.notSaid }, ...EDGES.map((edge) => ({ value: edge, title: FACED.edge(capital(edge)) }))]}
          onChange={(edge) => onChange({ ...value, [to]: edge === 'unsaid' ? null : edge })}
          testID={`faced-${to}`}
        />
      ))}
    </View>
  );
}

const BOX = { width: 160, height: 110 };
const BESIDE_PX = 92;
const LINE_PX = 18;
const FONT_PX = 13;

const SHORT = { mark: 'mark', door: 'door', hot: FACED.hotSide } as const;

/** Where the words of an edge stand, and how they are set there. */
function placeOf(edge: Edge, { width, height }: { width: number; height: number }): { x: number; y: number; anchor: 'start' | 'middle' | 'end' } {
  switch (edge) {
    case 'top':
      return { x: width / 2, y: -space.hair, anchor: 'middle' };
    case 'bottom':
      return { x: width / 2, y: height + FONT_PX, anchor: 'middle' };
    case 'left':
      return { x: -space.small, y: height / 2 + FONT_PX / 3, anchor: 'end' };
    case 'right':
      return { x: width + space.small, y: height / 2 + FONT_PX / 3, anchor: 'start' };
  }
}

/** Nothing where nothing of it was told. */
export function FacedDrawing({ faced, footprint }: { faced: Faced; footprint: Footprint }) {
  const { colours } = useTheme();
  const words = facedWords(faced);
  if (words === '') return null;
  const outline = outlineIn(footprint, BOX);
  return (
    <View style={{ gap: space.hair }} testID="firing-faced">
      <Svg width={outline.width + 2 * BESIDE_PX} height={outline.height + 2 * LINE_PX} role="img" aria-label={FACED.fromAbove(words)}>
        <G x={BESIDE_PX} y={LINE_PX}>
          <Path d={outline.path} fill={colours.surface} stroke={colours.ink} strokeWidth={1.5} />
          {EDGES.map((edge) => {
            const towards = FACED_TO.filter((to) => faced[to] === edge).map((to) => SHORT[to]);
            const { x, y, anchor } = placeOf(edge, outline);
            return (
              <Fragment key={edge}>
                {towards.length > 0 && (
                  <Text x={x} y={y} textAnchor={anchor} fontSize={FONT_PX} fontFamily={fonts.words} fill={colours.ink}>
                    {towards.join(', ')}
                  </Text>
                )}
              </Fragment>
            );
          })}
        </G>
      </Svg>
      <Words size="label" tone="muted">{`${capital(words)}.`}</Words>
    </View>
  );
}
