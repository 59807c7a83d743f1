/** Firings that came out right, the newest first, to be run again. */
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, formatTemperature, text } from '@torvin/core/units';
import { format } from 'date-fns/format';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useFirings } from '@/data/firings';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { PROVEN } from './words';

const SHOWN_AT_MOST = 12;

export function Proven({ onChosen }: { onChosen(firingId: string): void }) {
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed);
  const query = useFirings({ result: 'right', ...(words.trim() === '' ? {} : { text: words }) });
  const found = query.data?.pages[0]?.firings.slice(0, SHOWN_AT_MOST);
  return (
    <View style={{ gap: space.small }}>
      <Field label={PROVEN.pieceNoteGlass} value={typed} onChange={setTyped} testID="proven-search" />
      {found?.length === 0 && <Words tone="muted">{typed === '' ? PROVEN.noFiringMarked : PROVEN.noneThoseCame}</Words>}
      {found?.map((firing) => (
        <Action
          key={firing.id}
          kind="second"
          title={PROVEN.for(
            firing.pieceName,
            LOOK_NAMES[firing.look].toLowerCase(),
            text(formatTemperature(firing.ran_C, units.temperature)),
            text(formatDuration(firing.ran_s)),
            format(firing.firedAt, 'd MMM yyyy'),
          )}
          testID="proven-firing"
          onPress={() => onChosen(firing.id)}
        />
      ))}
    </View>
  );
}
