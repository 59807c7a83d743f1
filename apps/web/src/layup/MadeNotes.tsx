/** Of the made glass that a piece takes: where it came from and what is left of it, and where more is named than there was. */
import { glassIdsIn } from '@torvin/core/piece';
import type { PieceDoc, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useMadeStock } from '@/data/made';
import { useUnits } from '@/data/FormUnits';
import { isShort, leftWords } from '@/shelves/leftWords';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { MADE_NOTES } from './words';

export function MadeNotes({ doc, shelves }: { doc: PieceDoc; shelves: Shelves }) {
  const units = useUnits();
  const router = useRouter();
  const ids = glassIdsIn(doc);
  const made = shelves.made.filter(({ id }) => ids.includes(id));
  const stock = useMadeStock(made.length > 0);
  return made.map((one) => {
    const left_kg = stock?.(one).left_kg;
    const words = left_kg === undefined ? null : leftWords(left_kg, one, units);
    const open = (
      <Action
        kind="plain"
        title={one.name}
        label={MADE_NOTES.madeGlassOpen(one.name)}
        testID={`made-${one.id}`}
        onPress={() => router.push(`/shelves/made/${one.id}`)}
      />
    );
    if (left_kg !== undefined && isShort(left_kg, one))
      return (
        <Notice key={one.id} tone="warn" actions={open} testID="made-short">
          {MADE_NOTES.goesIntoFewer(one.name, words)}
        </Notice>
      );
    return (
      <View key={one.id} style={{ flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space.small }} testID="made-note">
        {open}
        <Words size="label" tone="muted">
          {[...(one.from ? [MADE_NOTES.madeGlassFrom(one.from.name)] : [MADE_NOTES.madeGlass]), ...(words === null ? [] : [words])].join(', ')}
        </Words>
      </View>
    );
  });
}
