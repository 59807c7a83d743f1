/** The studio's own strip tests: what counts more than a number on a label. */
import { type StripTest, type Shelves, StripTestSchema } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { DeleteRecord } from './DeleteRecord';
import { v7 as uuid } from 'uuid';
import { useDraft } from '@/outbox/drafts';
import { useSave } from '@/outbox/useOutbox';
import { GlassChoice } from './GlassChoice';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';

const RESULTS: Record<StripTest['result'], string> = { holds: 'holds', strained: 'strained', cracked: 'cracked' };

export function StripTests({ shelves }: { shelves: Shelves }) {
  const { colours } = useTheme();
  const [adding, setAdding] = useState(false);
  const name = (id: string): string => shelves.glasses.find((glass) => glass.id === id)?.name ?? id;
  return (
    <View style={{ paddingTop: space.large, gap: space.small }} testID="strip-tests">
      <Words size="title" bold role="heading" aria-level={2}>
        Strip tests
      </Words>
      <Words size="label" tone="muted">
        Fuse a strip of one on a strip of the other, cool it well, and look between crossed polarisers. It counts more than any number.
      </Words>
      {shelves.stripTests.map((test) => (
        <View key={test.id} style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}>
          <Words>{`${name(test.glassA)} with ${name(test.glassB)}: ${RESULTS[test.result]}`}</Words>
          <Words size="label" tone="muted">
            {`${format(test.testedAt, 'd MMM yyyy')}${test.note ? ` · ${test.note}` : ''}`}
          </Words>
          <DeleteRecord kind="stripTests" record={test} name={`The strip test of ${name(test.glassA)} with ${name(test.glassB)}`} />
        </View>
      ))}
      {adding ? (
        <StripTestForm shelves={shelves} onDone={() => setAdding(false)} />
      ) : (
        <Action kind="second" title="Record a strip test" testID="add-test" onPress={() => setAdding(true)} />
      )}
    </View>
  );
}

interface TestEntry {
  pair: string[];
  result: StripTest['result'];
  note: string;
}

function StripTestForm({ shelves, onDone }: { shelves: Shelves; onDone(): void }) {
  const add = useSave('saveRecord');
  const draft = useDraft<TestEntry>('strip test');
  const [began] = useState<TestEntry>(() => ({ pair: [shelves.glasses[0]?.id ?? '', shelves.glasses[1]?.id ?? ''], result: 'holds', note: '' }));
  const [now, setNow] = useState(began);
  const { pair, result, note } = now;
  useEffect(() => draft.keep(now, began, add.saving), [draft, now, began, add.saving]);
  const [id] = useState(() => uuid());
  return (
    <View style={{ gap: space.small }}>
      <DraftOffer draft={draft} onTake={setNow} />
      {[0, 1].map((place) => (
        <View key={place} testID={`test-glass-${place}`}>
          <Words bold>{place === 0 ? 'One glass' : 'The other'}</Words>
          <GlassChoice shelves={shelves} form="sheet" value={pair[place]} onChange={(glass) => setNow({ ...now, pair: pair.with(place, glass.id) })} />
        </View>
      ))}
      <Choice<StripTest['result']>
        label="It"
        value={result}
        options={StripTestSchema.shape.result.options.map((value) => ({ value, title: RESULTS[value] }))}
        onChange={(shown) => setNow({ ...now, result: shown })}
        testID="test-result"
      />
      <Field label="Note" value={note} onChange={(written) => setNow({ ...now, note: written })} testID="test-note" />
      {add.refusal && <Notice tone="warn">{add.refusal.problem.message}</Notice>}
      {add.held && <Held />}
      <Action
        title="Save the test"
        disabled={add.saving || pair[0] === pair[1]}
        testID="save-test"
        onPress={() =>
          add.save(
            { kind: 'stripTests', before: null, record: { id, version: 0, glassA: pair[0], glassB: pair[1], result, note, testedAt: Date.now() } },
            {
              then() {
                draft.done();
                onDone();
              },
            },
          )
        }
      />
    </View>
  );
}
