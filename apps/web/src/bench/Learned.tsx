/** What the firings of a kiln have taught, what of it plans go by, and the touch that takes it over. */
import { type TakenOver, type TemperatureUnit, correctionsOf, differenceIn, formatDifference, text } from '@torvin/core';
import type { Bench, Kiln } from '@torvin/schema';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';

type Taught = NonNullable<Bench['learned']>;

/** Nearer than this to what plans go by, nothing new is offered. */
const SAME = { offset_K: 1, workFactor: 0.05 } as const;
/** Nine in ten of a normal distribution lie within so many standard deviations. */
const NINE_IN_TEN = 1.645;

/** To whole degrees of the studio and hundredths: nothing finer was learnt. */
const rounded = ({ offset_K, workFactor }: Taught, unit: TemperatureUnit): Required<TakenOver> => ({
  offset_K: Math.round(differenceIn(offset_K, unit)) / differenceIn(1, unit),
  workFactor: Math.round(workFactor * 100) / 100,
});

function words({ offset_K, workFactor }: Required<TakenOver>, unit: TemperatureUnit): string {
  const off = Math.round(Math.abs(differenceIn(offset_K, unit)));
  const reads =
    off === 0
      ? 'its controller reads true'
      : `its controller reads ${text(formatDifference(Math.abs(offset_K), unit))} ${offset_K > 0 ? 'over' : 'under'} the glass`;
  return `looks take ${workFactor.toFixed(2)} times the usual heat work, and ${reads}`;
}

export function Learned({ learned, kilns }: { learned: Bench['learned']; kilns: readonly Kiln[] | undefined }) {
  if (!learned) return <Words tone="muted">Nothing yet: tell how a firing came out, and what it teaches of your kiln stands here.</Words>;
  return <Told learned={learned} kiln={kilns?.find(({ id }) => id === learned.kilnId)} />;
}

function Told({ learned, kiln }: { learned: Taught; kiln: Kiln | undefined }) {
  const { temperatureUnit: unit } = useStudio();
  const save = useSave('saveRecord');
  const { firings, kilnName, familyName, separated, offset_sd_K, workFactor_sd_log } = learned;
  const found = rounded(learned, unit);
  const taken = kiln && correctionsOf(kiln);
  const { offset_K = 0, workFactor = 1 } = kiln ?? {};
  // Judged as it was learnt, so that a studio of another unit is offered the same.
  const same = Math.abs(learned.offset_K - offset_K) < SAME.offset_K && Math.abs(learned.workFactor - workFactor) < SAME.workFactor;
  const put = (next: TakenOver): void => {
    if (!kiln) return;
    const { offset_K: _offset, workFactor: _factor, ...rest } = kiln;
    save.save({ kind: 'kilns', record: { ...rest, ...next }, before: kiln }, { on: kiln.version });
  };
  const spread = text(formatDifference(NINE_IN_TEN * offset_sd_K, unit));
  const factors = [-1, 1].map((side) => (learned.workFactor * Math.exp(side * NINE_IN_TEN * workFactor_sd_log)).toFixed(2));
  return (
    <View style={{ gap: space.small }}>
      <Words>{`${kilnName}, ${familyName}, from ${firings} ${firings === 1 ? 'firing' : 'firings'}: ${words(found, unit)}.`}</Words>
      <Words size="label" tone="muted">
        {`Nine in ten: ${factors.join(' to ')} times, and within ${spread} of that reading. ${
          separated
            ? 'The two can be told apart by these firings.'
            : 'These firings cannot tell the two apart: a witness cone or a thermocouple at the glass, or a look at another temperature, would.'
        }`}
      </Words>
      {kiln && (
        <Words size="label" testID="learned-taken">
          {taken
            ? same
              ? 'Plans in this kiln go by it.'
              : `Plans in this kiln go by an earlier word: ${words({ offset_K, workFactor }, unit)}.`
            : same
              ? 'That is as good as usual: plans need no correction.'
              : 'Plans do not go by it yet.'}
        </Words>
      )}
      {save.refusal && <Notice tone="warn">{save.refusal.problem.message}</Notice>}
      {kiln && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {!same && <Action kind="second" title="Plan by it" testID="learned-take" disabled={save.saving} onPress={() => put(found)} />}
          {taken && <Action kind="second" title="Plan as usual" testID="learned-leave" disabled={save.saving} onPress={() => put({})} />}
        </View>
      )}
    </View>
  );
}
