/** The studio's patterns, where a new piece is made: from each, one like it is started. */
import { footprintWords } from '@torvin/core/body';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { usePieceRows } from '@/data/pieceRows';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { LinkRow } from '@/ui/LinkRow';
import { Words } from '@/ui/Words';
import { layersWords } from '@/layup/describe';
import { PieceFace } from './PieceFace';
import { PATTERN_ROWS } from './words';

const FACE = { width: 88, height: 48 };
/** Of more the list of all of them is the better place to look. */
const SHOWN_AT_MOST = 4;

export function PatternRows({ shelves }: { shelves: Shelves }) {
  const units = useUnits();
  const { rows = [], total } = usePieceRows({ show: 'patterns', sort: 'name' });
  const patterns = rows.filter(({ patternAt }) => patternAt !== null);
  if (patterns.length === 0) return null;
  return (
    <View style={{ gap: space.small, paddingTop: space.medium }} testID="patterns">
      <Words size="title" bold role="heading" aria-level={2}>
        {PATTERN_ROWS.fromAPattern}
      </Words>
      <View role="list">
        {patterns.slice(0, SHOWN_AT_MOST).map(({ id, name, footprint, laid, profile, photo }) => (
          <LinkRow key={id} href={`/pieces/${id}?another=yes`} inset={0} testID="pattern-link">
            <PieceFace
              piece={{ name, profile, photo }}
              shelves={shelves}
              {...FACE}
              lines={[`${footprintWords(footprint, units.length)} · ${layersWords(laid)}`]}
            />
          </LinkRow>
        ))}
        {total > SHOWN_AT_MOST && (
          <LinkRow href="/pieces?show=patterns" inset={0} testID="all-patterns">
            <Words>{PATTERN_ROWS.allPatterns(total)}</Words>
          </LinkRow>
        )}
      </View>
    </View>
  );
}
