/** Of made glass: what it is of, what is left, which piece it came from, and who takes of it. */
import { heatWords, namedGlasses, nothingYet, bodyOf } from '@torvin/core/piece';
import { formatMass, text } from '@torvin/core/units';
import type { Made, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useMadeStock } from '@/data/made';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { StripedSwatch } from './StripedSwatch';
import { isShort, leftWords } from './leftWords';
import { madeOfWords, MADE_STORY } from './words';

export function MadeStory({ made, shelves }: { made: Made; shelves: Shelves }) {
  const units = useUnits();
  const router = useRouter();
  const stock = useMadeStock()?.(made);
  const heat = heatOfMade(made, shelves, units);
  const { from } = made;
  return (
    <View style={{ gap: space.small }} testID="made-story">
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <StripedSwatch shelves={shelves} made={made} />
        <Words testID="made-of">{[madeOfWords(made, shelves), familiesOf(made, shelves)].join(' · ')}</Words>
      </View>
      {from &&
        (stock?.use?.fromName === null ? (
          <Words testID="made-from">{MADE_STORY.pieceBeenDeleted(from.name)}</Words>
        ) : (
          <View style={{ alignItems: 'flex-start' }}>
            <Action
              kind="plain"
              title={MADE_STORY.from(stock?.use?.fromName ?? from.name)}
              label={MADE_STORY.openPiece(stock?.use?.fromName ?? from.name)}
              testID="made-from"
              onPress={() => router.push(`/pieces/${from.pieceId}`)}
            />
          </View>
        ))}
      {heat.length > 0 && (
        <Words size="label" testID="made-heat">
          {heat.join(' ')}
        </Words>
      )}
      {stock && (
        <>
          {isShort(stock.left_kg, made) ? (
            <Notice tone="warn" testID="made-left">
              {MADE_STORY.madeTakeLess(text(formatMass(made.mass_kg, units.mass)), leftWords(stock.left_kg, made, units))}
            </Notice>
          ) : (
            <Words bold testID="made-left">
              {MADE_STORY.made(text(formatMass(made.mass_kg, units.mass)), leftWords(stock.left_kg, made, units))}
            </Words>
          )}
          {(stock.use?.taken ?? []).length > 0 && (
            <Words size="label" tone="muted">
              {MADE_STORY.laidThesePieces}
            </Words>
          )}
          <View role="list">
            {stock.use?.taken.map(({ pieceId, pieceName, mass_kg }) => (
              <LinkRow key={pieceId} href={`/pieces/${pieceId}`} inset={0} testID={`taken-by-${pieceId}`}>
                <Words style={{ flex: 1 }}>{pieceName}</Words>
                <Words>{text(formatMass(mass_kg, units.mass))}</Words>
              </LinkRow>
            ))}
          </View>
        </>
      )}
    </View>
  );
}

/** The families that it is of, each once. */
function familiesOf({ stripes }: Made, { glasses, families }: Shelves): string {
  const ids = new Set(stripes.map(({ glassId }) => glasses.find(({ id }) => id === glassId)?.familyId));
  return families
    .filter(({ id }) => ids.has(id))
    .map(({ name }) => name)
    .join(' and ');
}

/** Told as that of a piece is. */
function heatOfMade({ id, name, heat, thickness_m }: Made, shelves: Shelves, units: ReturnType<typeof useUnits>): string[] {
  if (!heat) return [];
  const alone = {
    ...nothingYet({ footprint: { shape: 'disc', diameter_m: 0.1 }, dammed: false }),
    layers: [{ id, glassId: id, form: 'sheet' as const, thickness_m }],
  };
  const made = bodyOf(alone, namedGlasses(shelves));
  return made.ok ? heatWords([], made.value.body, units, [{ name, ...heat }]).slice(0, -1) : [];
}
