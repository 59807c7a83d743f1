/** What a test series found, kept under a name. */
import type { Series } from '@torvin/core/schedule';
import type { FiringDetail } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useShelves } from '@/data/pieces';
import { isSame } from '@/outbox/merge';
import { useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { Words } from '@/ui/Words';
import { SERIES } from './words';

export interface KeepFindingProps {
  details: readonly FiringDetail[];
  series: Series;
  range: readonly [number, number];
}

/** Kept under a name, plans of its kind are held against it. */
export function KeepFinding({ details, series: { factor, from, to, trials }, range }: KeepFindingProps) {
  const { data: shelves } = useShelves();
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const save = useSave('saveRecord');
  const [{ firing }] = details;
  const ids = trials.map(({ id }) => id).sort();
  const kept = shelves?.findings.find((one) => one.factor === factor && isSame([...one.trials].sort(), ids));
  if (kept) return <Words testID="finding-kept">{SERIES.kept(kept.name)}</Words>;
  function keep(): void {
    const named = name.trim();
    if (named === '') return setWrong(SERIES.nameIt);
    const [low, high] = [Math.min(...range), Math.max(...range)];
    const record = {
      id: uuid(),
      version: 0,
      name: named,
      look: firing.look,
      factor,
      from: low,
      to: high,
      shortBelow: from < to,
      trials: ids,
      note: '',
      foundAt: Date.now(),
    };
    save.save({ kind: 'findings', record, before: null });
  }
  return (
    <Fold title={SERIES.keep} about={SERIES.keepAbout} testID="keep-finding">
      {() => (
        <View style={{ gap: space.small, alignItems: 'flex-start' }}>
          <Field label={SERIES.name} value={name} onChange={setName} error={save.refusal?.problem.message ?? wrong} testID="finding-name" />
          <Action title={SERIES.keepIt} disabled={save.saving} testID="keep-it" onPress={keep} />
        </View>
      )}
    </Fold>
  );
}
