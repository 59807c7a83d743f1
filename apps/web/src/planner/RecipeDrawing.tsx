/** A kind of firing in a small drawing: glass as it ends, what holds it, thin lines for what was there before. */
import { type Look, RECIPES } from '@torvin/core/look';
import { memo } from 'react';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';

/** Beside its name, which says what it is. */
export const RecipeDrawing = memo(function RecipeDrawing({ look }: { look: Look }) {
  const { colours } = useTheme();
  const { glass, form, lines, bare = false } = RECIPES[look].drawn;
  return (
    <Svg width={72} height={40} viewBox="0 0 72 40" aria-hidden>
      {form && <Path d={form} fill={colours.shelf} />}
      {glass && <Path d={glass} fill={colours.line} stroke={colours.muted} strokeWidth={1} />}
      {lines && <Path d={lines} fill="none" stroke={colours.muted} strokeWidth={1.4} strokeLinecap="round" />}
      {!bare && <Path d="M0 37.5 H72" stroke={colours.shelf} strokeWidth={3} />}
    </Svg>
  );
});
