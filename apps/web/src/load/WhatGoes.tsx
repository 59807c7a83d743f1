/** What waits for a kiln, to be chosen from: what is due first, and of many no more at once than are looked through at a glance. */
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, text } from '@torvin/core/units';
import type { ForKiln } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { dayWords } from '@/ui/clock';
import { Action } from '@/ui/Action';
import { ChooseRow } from '@/ui/ChooseRow';
import { Search } from '@/ui/Search';
import { Words } from '@/ui/Words';
import { space } from '@/theme/theme';
import { LOAD } from './words';

const SHOWN_AT_ONCE = 12;

export interface WhatGoesProps {
  waiting: readonly ForKiln[];
  /** Of the pieces that are chosen. */
  ids: readonly string[];
  /** How long it takes by itself, s. */
  alone_s(one: ForKiln): number;
  onToggle(one: ForKiln): void;
}

const DUE_LAST = '9999';

export function WhatGoes({ waiting, ids, alone_s, onToggle }: WhatGoesProps) {
  const [wanted, setWanted] = useState('');
  const [many, setMany] = useState(SHOWN_AT_ONCE);
  // What is let go again keeps its row, so that none moves under a finger.
  const [touched, setTouched] = useState(ids);
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const dueFirst = [...waiting].sort((a, b) => (a.dueOn ?? DUE_LAST).localeCompare(b.dueOn ?? DUE_LAST));
  const found = dueFirst.filter(({ pieceName }) => words.every((word) => pieceName.toLowerCase().includes(word)));
  const first = new Set(found.slice(0, many));
  const shown = dueFirst.filter((one) => first.has(one) || ids.includes(one.pieceId) || touched.includes(one.pieceId));
  return (
    <View>
      <Words size="title" bold role="heading" aria-level={2}>
        {LOAD.whatGoes}
      </Words>
      {waiting.length > SHOWN_AT_ONCE && (
        <Search label={LOAD.findAmong(waiting.length)} value={wanted} onChange={setWanted} hint={LOAD.findHint} testID="load-find" />
      )}
      <View role="group" aria-label={LOAD.whatGoes} style={{ marginTop: space.small }}>
        {shown.map((one) => (
          <Entry
            key={one.pieceId}
            waits={one}
            on={ids.includes(one.pieceId)}
            alone_s={alone_s(one)}
            onPress={() => {
              setTouched((before) => [...before, one.pieceId]);
              onToggle(one);
            }}
          />
        ))}
      </View>
      {found.length > many && (
        <Action kind="plain" title={LOAD.more(Math.min(SHOWN_AT_ONCE, found.length - many))} testID="load-more" onPress={() => setMany(many + SHOWN_AT_ONCE)} />
      )}
    </View>
  );
}

interface EntryProps {
  waits: ForKiln;
  on: boolean;
  alone_s: number;
  onPress(): void;
}

/** As high whatever is answered: what follows it stays where a finger aims. */
function Entry({ waits: { pieceId, pieceName, look, damp, dueOn }, on, alone_s, onPress }: EntryProps) {
  const alone = [LOAD.alone(LOOK_NAMES[look], text(formatDuration(alone_s))), ...(!dueOn ? [] : [LOAD.due(dayWords(dueOn))])].join(', ');
  return (
    <ChooseRow on={on} name={`${pieceName}, ${alone}`} onPress={onPress} inset={0} testID={`load-piece-${pieceId}`}>
      <View style={{ flex: 1 }}>
        <Words bold>{pieceName}</Words>
        <Words size="label" tone="muted">
          {damp ? `${alone}, ${LOAD.damp}` : alone}
        </Words>
      </View>
    </ChooseRow>
  );
}
