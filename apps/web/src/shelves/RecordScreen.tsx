/** One record, edited: name, source, and each figure in the unit people write it. A save names the version it was based on. */
import { CONTENTS, FORM_NAMES, LAYER_FORMS, formatStock, parseLength } from '@torvin/core';
import type { ControllerRecord, Glass, ShelfKind, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import type { ShelfRecord } from '@/data/shelves';
import { useUnits } from '@/data/studio';
import { recordOnto } from '@/outbox/kinds';
import { useDraft } from '@/outbox/drafts';
import { useSave } from '@/outbox/useOutbox';
import { WORK_CAUTIONS } from '@/piece/cautions';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Swatch } from '@/ui/Swatch';
import { Toggles } from '@/ui/Toggles';
import { KIND_NAMES, NUMBER_FIELDS, labelOf, withFigure, written } from './fields';

export interface RecordScreenProps {
  kind: ShelfKind;
  record: ShelfRecord;
  shelves: Shelves;
}

const BACK = { title: 'Shelves', href: '/shelves' };

export function RecordScreen({ kind, record, shelves }: RecordScreenProps) {
  const router = useRouter();
  const units = useUnits();
  const save = useSave('saveRecord');
  const archive = useSave('archiveRecord');
  const fields = NUMBER_FIELDS[kind];
  const draft = useDraft<{ now: ShelfRecord; typed: Record<string, string> }>(`${kind} ${record.version === 0 ? 'new' : `${record.id} ${record.version}`}`);
  const [began] = useState(() => ({ now: record, typed: {} }));
  const [now, setNow] = useState(record);
  const [typed, setTyped] = useState<Record<string, string>>({});
  useEffect(() => draft.keep({ now, typed }, began, save.saving), [draft, now, typed, began, save.saving]);
  const [faults, setFaults] = useState<Record<string, string>>({});
  const problem = save.refusal?.problem ?? null;
  const stale = problem?.code === 'stale' ? (save.refusal?.current as ShelfRecord) : null;
  const archived = shelves.archived.includes(record.id);
  const isNew = record.version === 0;
  const valueOf = (key: string): number | undefined => (now as unknown as Record<string, number | undefined>)[key];

  /** standing: what somebody else saved meanwhile, to put my changes onto. */
  function keep(standing?: ShelfRecord): void {
    let next = now;
    const found: Record<string, string> = {};
    for (const field of fields) {
      const written_ = typed[field.key];
      if (written_ === undefined) continue;
      const outcome = withFigure(kind, next, field, written_, units);
      if (outcome.ok) next = outcome.value;
      else found[field.key] = outcome.problem.message;
    }
    setFaults(found);
    if (Object.keys(found).length > 0) return;
    const mine = { kind, record: next, before: record };
    const then = (): void => {
      draft.done();
      router.replace('/shelves' as never);
    };
    if (standing) save.save(recordOnto(mine, standing).variables, { on: standing.version, then });
    else save.save(mine, { on: record.version, then });
  }

  return (
    <Screen title={isNew ? `New ${KIND_NAMES[kind].one.toLowerCase()}` : record.name} subtitle={isNew ? undefined : record.source} back={BACK}>
      <View style={{ gap: space.medium }}>
        {stale && (
          <Notice tone="warn" actions={<Action title="Save mine over it" testID="keep-mine" onPress={() => keep(stale)} />}>
            {`This record was changed elsewhere meanwhile; it is now ${stale.name}, ${stale.source}.`}
          </Notice>
        )}
        {problem && !stale && <Notice tone="warn">{problem.message}</Notice>}
        {save.held && <Held />}
        <DraftOffer
          draft={draft}
          onTake={(left) => {
            setNow({ ...left.now, id: record.id });
            setTyped(left.typed);
          }}
        />
        <Field
          label="Name"
          value={now.name}
          onChange={(name) => setNow({ ...now, name })}
          error={problem?.path === 'name' ? problem.message : undefined}
          testID="record-name"
        />
        <Field
          label="Source"
          value={now.source}
          onChange={(source) => setNow({ ...now, source })}
          hint="where the figures are from: the maker’s sheet, a test of your own"
          error={problem?.path === 'source' ? problem.message : undefined}
          testID="record-source"
        />
        {fields.map((field) => {
          const value = valueOf(field.key);
          const mark = field.unit(units);
          return (
            <Field
              key={`${field.key} ${units.temperature} ${units.length}`}
              label={`${labelOf(field, units)}${mark ? `, ${mark}` : ''}`}
              value={typed[field.key] ?? (value === undefined ? '' : written(field.shown(value, units)))}
              onChange={(text) => setTyped({ ...typed, [field.key]: text })}
              hint={field.optional ? 'left empty, the usual is taken' : undefined}
              error={faults[field.key] ?? (problem?.path === field.key ? problem.message : undefined)}
              keyboard="decimal-pad"
              testID={`figure-${field.key}`}
            />
          );
        })}
        {kind === 'glasses' && <GlassFields glass={now as Glass} shelves={shelves} problemPath={problem?.path} problem={problem?.message} onChange={setNow} />}
        {kind === 'controllers' && (
          <Choice
            label="It counts in"
            value={(now as ControllerRecord).unit}
            options={[
              { value: 'C', title: '°C' },
              { value: 'F', title: '°F' },
            ]}
            onChange={(counts) => setNow({ ...(now as ControllerRecord), unit: counts })}
            testID="controller-unit"
          />
        )}
        <Notice tone="care">{kind === 'kilns' || kind === 'controllers' ? WORK_CAUTIONS.kilnRecord : WORK_CAUTIONS.stress}</Notice>
        <Action title="Save" disabled={save.saving} testID="save-record" onPress={() => keep()} />
        {!isNew && (
          <Action
            kind="second"
            title={archived ? 'Take out again' : 'Put archived'}
            testID="put-archived"
            onPress={() => archive.save({ kind, id: record.id, name: record.name, archived: !archived }, { then: () => router.replace('/shelves' as never) })}
          />
        )}
      </View>
    </Screen>
  );
}

interface GlassFieldsProps {
  glass: Glass;
  shelves: Shelves;
  problemPath?: string;
  problem?: string;
  onChange(glass: Glass): void;
}

function GlassFields({ glass, shelves, problemPath, problem, onChange }: GlassFieldsProps) {
  const { length: unit } = useUnits();
  const [sizes, setSizes] = useState(glass.thicknesses_m.map((size) => formatStock(size, unit).figure).join('; '));
  const [fault, setFault] = useState<string | undefined>();
  const setThicknesses = (typed: string): void => {
    setSizes(typed);
    const read = typed
      .split(';')
      .filter((part) => part.trim() !== '')
      .map((part) => parseLength(part, unit));
    const wrong = read.find((one) => !one.ok);
    setFault(wrong && !wrong.ok ? wrong.problem.message : undefined);
    if (!wrong) onChange({ ...glass, thicknesses_m: read.flatMap((one) => (one.ok ? [one.value] : [])) });
  };
  return (
    <>
      <Choice
        label="Family"
        value={glass.familyId}
        options={shelves.families.map(({ id, name }) => ({ value: id, title: name }))}
        onChange={(familyId) => onChange({ ...glass, familyId })}
        testID="glass-family"
      />
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium }}>
        <Swatch colour={/^#[0-9a-f]{6}$/i.test(glass.colour) ? glass.colour : undefined} />
        <Field
          label="Colour as drawn"
          value={glass.colour}
          onChange={(colour) => onChange({ ...glass, colour })}
          error={problemPath === 'colour' ? problem : undefined}
          hint="# and six hexadecimal digits"
          testID="glass-colour"
        />
      </View>
      <Field label={`Sheet thicknesses, ${unit}`} value={sizes} onChange={setThicknesses} error={fault} hint="between them a ;" testID="glass-sizes" />
      <Toggles
        label="Comes as"
        values={glass.forms}
        options={LAYER_FORMS.map((form) => ({ value: form, title: FORM_NAMES[form] }))}
        onChange={(forms) => onChange({ ...glass, forms })}
        testID="glass-form"
      />
      <Toggles
        label="Contains"
        values={glass.contents}
        options={CONTENTS.map((content) => ({ value: content, title: content }))}
        onChange={(contents) => onChange({ ...glass, contents })}
        testID="glass-content"
      />
      <Toggles
        label="Surface"
        values={glass.coated ? ['coated'] : []}
        options={[{ value: 'coated' as const, title: 'metal-coated on one side' }]}
        onChange={(marks) => onChange({ ...glass, coated: marks.length > 0 })}
        testID="glass-surface"
      />
    </>
  );
}
