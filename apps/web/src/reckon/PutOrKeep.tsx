/** What can be done with an answer: put it into the piece that it was asked from, begin a piece with it, or keep it. */
import type { Footprint } from '@torvin/core/body';
import { type Edited, FIRST_LAID_ID, type ReckonedGlass } from '@torvin/core/piece';
import type { Outcome } from '@torvin/core/problem';
import type { QuantityName } from '@torvin/core/quantity';
import type { PieceDoc } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { putPiece } from '@/outbox/shown';
import { useOutbox } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { type Typed, withUnits } from './typed';
import type { Where } from './useWhere';
import { PUT_OR_KEEP } from './words';
import { WORDS } from '@/ui/said';

/** How an answer goes into a piece. */
export interface Puts {
  /** Says in a few words what is put in, and where; null for a piece that is begun with it. */
  words(where: Pick<Where, 'piece' | 'isBegun'> | null): string;
  /** May stand in place of what is laid there. */
  replaces: boolean;
  /** Lays glass, so that it is said where it comes to lie. */
  lays?: true;
  into(
    doc: PieceDoc,
    how: Pick<Where, 'isBegun' | 'from'> & { /** Another one each time it is asked for. */ newId(): string; into: ReckonedGlass['into'] },
  ): Outcome<Edited>;
  /** A piece that is begun with it: what it is called, and its outline; none where it has no outline of its own. */
  begins: { name: string; footprint: Footprint; dammed: boolean } | null;
}

export interface PutOrKeepProps {
  kind: QuantityName;
  typed: Typed;
  /** The answer in one line. */
  told: string;
  /** It is of what was typed before. */
  stale: boolean;
  puts: Puts | null;
  where: Where | null;
  onPut(): void;
}

const REST_MS = 400;

function placeWords({ laid, names }: Where, instead: boolean): string {
  if (laid === 0) return PUT_OR_KEEP.noLayerYet;
  return instead ? PUT_OR_KEEP.takesAwayWhat(names.join(', ')) : PUT_OR_KEEP.whatLaidStays(names.join(', '));
}

export function PutOrKeep({ kind, typed, told, stale, puts, where, onPut }: PutOrKeepProps) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const router = useRouter();
  const units = useUnits();
  const [instead, setInstead] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const [kept, setKept] = useState<string | null>(null);
  // What was kept by hand already is not kept twice.
  const keep = (pieceId: string | null): void => {
    if (kept === told) return;
    outbox.put('keepReckoning', { id: uuid(), kind, typed: withUnits(typed, units), told: told.slice(0, 300), pieceId, keptAt: Date.now() });
  };
  const putInto = ({ piece: { id, name, doc, version }, into, isBegun, from }: Where, make: Puts): void => {
    const target = 'place' in into ? { ...into, newStepId: uuid() } : { ...into, instead: make.replaces && instead };
    const edited = make.into(doc, { newId: uuid, into: target, isBegun, from });
    if (!edited.ok) return setProblem(edited.problem.message);
    putPiece(client, outbox, { id, name, ...edited.value, before: { name, doc } }, { on: version, rest: { key: uuid(), for_ms: REST_MS } });
    keep(id);
    onPut();
  };
  const begin = (make: Puts, { name, footprint, dammed }: NonNullable<Puts['begins']>): void => {
    const empty: PieceDoc = { schemaVersion: 3, footprint, dammed, typed: {}, journey: [{ kind: 'lay', id: FIRST_LAID_ID, side: 'above', layers: [] }] };
    const edited = make.into(empty, { newId: uuid, into: { stepId: FIRST_LAID_ID, instead: true }, isBegun: false, from: 0 });
    if (!edited.ok) return setProblem(edited.problem.message);
    const id = uuid();
    outbox.put('createPiece', { id, name, doc: edited.value.doc });
    keep(id);
    onPut();
    router.navigate(`/pieces/${id}`);
  };
  return (
    <View style={{ gap: space.small, paddingTop: space.small }}>
      {problem !== null && <Notice tone="warn">{problem}</Notice>}
      {puts && where && puts.replaces && where.laid > 0 && (
        <Tick on={instead} title={PUT_OR_KEEP.placeWhatLaid(where.laid)} onPress={() => setInstead(!instead)} testID="reckon-instead" />
      )}
      {puts && (
        <Words size="label" tone="muted" testID="reckon-puts">
          {[puts.words(where), ...(where && puts.lays ? [placeWords(where, puts.replaces && instead)] : [])].join(' ')}
        </Words>
      )}
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <View style={{ flex: 1 }}>
          {puts && where ? (
            <Action title={PUT_OR_KEEP.putInto(where.piece.name)} disabled={stale} testID="reckon-put" onPress={() => putInto(where, puts)} />
          ) : (
            puts?.begins && (
              <Action title={PUT_OR_KEEP.beginPiece} disabled={stale} testID="reckon-begin" onPress={() => puts.begins && begin(puts, puts.begins)} />
            )
          )}
        </View>
        <Action
          kind="second"
          title={kept === told ? PUT_OR_KEEP.kept : WORDS.keep}
          disabled={stale || kept === told}
          testID="reckon-keep"
          onPress={() => {
            keep(where?.piece.id ?? null);
            setKept(told);
          }}
        />
      </View>
    </View>
  );
}
