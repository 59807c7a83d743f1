/** The studio's own strip tests: what counts more than a number on a label. */
import { type StripTest, type Shelves, StripTestSchema } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/data/client';
import { useNamedSave } from '@/data/saves';
import { GlassChoice } from '@/piece/GlassChoice';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
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

function StripTestForm({ shelves, onDone }: { shelves: Shelves; onDone(): void }) {
  const add = useNamedSave('addStripTest', 'shelves');
  const [pair, setPair] = useState([shelves.glasses[0]?.id ?? '', shelves.glasses[1]?.id ?? '']);
  const [result, setResult] = useState<StripTest['result']>('holds');
  const [note, setNote] = useState('');
  const [id] = useState(() => uuid());
  return (
    <View style={{ gap: space.small }}>
      {[0, 1].map((place) => (
        <View key={place} testID={`test-glass-${place}`}>
          <Words bold>{place === 0 ? 'One glass' : 'The other'}</Words>
          <GlassChoice shelves={shelves} form="sheet" value={pair[place]} onChange={(glass) => setPair(pair.with(place, glass.id))} />
        </View>
      ))}
      <Choice<StripTest['result']>
        label="It"
        value={result}
        options={StripTestSchema.shape.result.options.map((value) => ({ value, title: RESULTS[value] }))}
        onChange={setResult}
        testID="test-result"
      />
      <Field label="Note" value={note} onChange={setNote} testID="test-note" />
      {add.error && <Notice tone="warn">{problemOfError(add.error).message}</Notice>}
      <Action
        title="Save the test"
        disabled={add.isPending || pair[0] === pair[1]}
        testID="save-test"
        onPress={() => add.mutate({ id, glassA: pair[0], glassB: pair[1], result, note, testedAt: Date.now() }, { onSuccess: onDone })}
      />
    </View>
  );
}
