/** A studio's first day: six short questions, one at a time, each answered by a touch or left; then a first piece. */
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { ELEMENT_PLACES, type Elements, acrossLagFrom } from '@torvin/core/kiln';
import { FIRST_LAID_ID } from '@torvin/core/piece';
import { formatLength, text } from '@torvin/core/units';
import { FIRST_QUESTIONS, type FirstDay, type FirstQuestion, KINDS, type RecordOf, type Shelves, type Studio, figureOfRecord } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useShelves } from '@/data/pieces';
import { useSaveStudio, useStudio, useStudioUnits } from '@/data/studio';
import { firstGlass, firstLayer } from '@/layup/pieceEntry';
import { useOutbox } from '@/outbox/useOutbox';
import { planHref } from '@/ui/hrefs';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Option } from '@/ui/Option';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { START } from './words';

const NOTHING: FirstDay = { answered: [], familyId: null, schedule: '', done: false };

interface Asked {
  shelves: Shelves;
  studio: Studio;
  /** Keeps what was said and goes on. */
  onAnswer(change?: Partial<FirstDay>, settings?: Partial<Studio>): void;
}

export function StartScreen() {
  const router = useRouter();
  const studio = useStudio();
  const save = useSaveStudio();
  const shelves = useShelves();
  const day = studio.firstDay ?? NOTHING;
  const [again, setAgain] = useState<FirstQuestion | null>(null);
  if (!shelves.data) return <Waiting query={shelves} title={START.title} />;
  const next = FIRST_QUESTIONS.find((one) => !day.answered.includes(one)) ?? null;
  const asked = again ?? next;
  const at = asked === null ? FIRST_QUESTIONS.length : FIRST_QUESTIONS.indexOf(asked);
  const onAnswer = (change: Partial<FirstDay> = {}, settings: Partial<Studio> = {}): void => {
    const answered = asked === null || day.answered.includes(asked) ? day.answered : [...day.answered, asked];
    save({ ...settings, firstDay: { ...day, answered, ...change } });
    // After one that was asked again the next one comes that it was asked before.
    const after = FIRST_QUESTIONS[at + 1];
    setAgain(again !== null && after !== undefined && day.answered.includes(after) ? after : null);
  };
  const Question = asked === null ? null : QUESTIONS[asked];
  return (
    <Screen title={START.title} subtitle={asked === null ? undefined : START.about}>
      <View style={{ gap: space.medium, maxWidth: COLUMN_WIDTH }}>
        {Question && asked !== null ? (
          <>
            <Words size="label" tone="muted" testID="start-at">
              {START.at(at + 1, FIRST_QUESTIONS.length)}
            </Words>
            <Words size="title" bold role="heading" aria-level={2} testID={`ask-${asked}`}>
              {START[asked].question}
            </Words>
            <Question key={asked} shelves={shelves.data} studio={studio} onAnswer={onAnswer} />
          </>
        ) : (
          <FirstPiece shelves={shelves.data} day={day} onDone={() => save({ firstDay: { ...day, done: true } })} />
        )}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
          {at > 0 && <Action kind="plain" title={START.back} testID="start-back" onPress={() => setAgain(FIRST_QUESTIONS[at - 1])} />}
          <Action kind="plain" title={START.later} testID="start-later" onPress={() => router.replace('/bench')} />
        </View>
      </View>
    </Screen>
  );
}

function Answers({ children }: { children: ReactNode }) {
  return <View style={{ gap: space.small }}>{children}</View>;
}

interface AnswerProps {
  title: string;
  note?: string;
  testID: string;
  onPress(): void;
}

const Answer = (props: AnswerProps) => <Option as="act" chosen={false} grows {...props} />;

const SETS = {
  metric: { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g' },
  inches: { temperatureUnit: 'F', lengthUnit: 'in', massUnit: 'oz' },
} as const satisfies Record<string, Partial<Studio>>;
/** Countries whose studios work in °F and inches for the most part. */
const IN_INCHES = /-(US|LR|MM)$/;

function UnitsQuestion({ onAnswer }: Asked) {
  const likely = IN_INCHES.test(navigator.language) ? 'inches' : 'metric';
  return (
    <Answers>
      {(['metric', 'inches'] as const).map((name) => (
        <Answer key={name} title={START.units[name].title} testID={`start-${name}`} onPress={() => onAnswer({}, SETS[name])} />
      ))}
      <Answer title={START.notSure} note={START.units.notSure(START.units[likely].title)} testID="start-not-sure" onPress={() => onAnswer({}, SETS[likely])} />
    </Answers>
  );
}

type Shelf = 'kilns' | 'controllers';

/** Figures of the record that ships, each to be typed or left; what is wrong with one is said at it. */
function useRecord<K extends Shelf>(kind: K, record: RecordOf<K> | undefined, keys: readonly string[]) {
  const units = useStudioUnits();
  const outbox = useOutbox();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({});
  const fields = KINDS[kind].fields.flatMap((field) => (field.as === 'figure' && keys.includes(field.key) ? [field] : []));
  const inputs = fields.map((field) => (
    <Field
      key={field.key}
      label={field.labelIn?.(units) ?? field.label}
      value={typed[field.key] ?? ''}
      onChange={(value) => setTyped({ ...typed, [field.key]: value })}
      error={faults[field.key]}
      testID={`start-${field.key}`}
    />
  ));
  /** False where something cannot be read; else what was typed is kept with what was chosen. */
  const save = (chosen: Partial<RecordOf<K>>): boolean => {
    if (!record) return true;
    const read = fields
      .filter(({ key }) => (typed[key] ?? '').trim() !== '')
      .map((field) => [field.key, figureOfRecord(KINDS[kind].schema, field, typed[field.key], units)] as const);
    const wrong = read.flatMap(([key, outcome]) => (outcome.ok ? [] : [[key, outcome.problem.message]]));
    setFaults(Object.fromEntries(wrong) as Record<string, string>);
    if (wrong.length > 0) return false;
    const change = { ...Object.fromEntries(read.flatMap(([key, outcome]) => (outcome.ok ? [[key, outcome.value]] : []))), ...chosen };
    if (Object.keys(change).length > 0) void outbox.put('saveRecord', { kind, record: { ...record, ...change }, before: record }, { on: record.version });
    return true;
  };
  return { inputs, save };
}

type ElementsTold = Elements | 'notSure';
const ELEMENTS: readonly ElementsTold[] = [...ELEMENT_PLACES, 'notSure'];

function KilnQuestion({ shelves, onAnswer }: Asked) {
  const [kiln] = shelves.kilns;
  const [elements, setElements] = useState<ElementsTold>('notSure');
  const { inputs, save } = useRecord('kilns', kiln, ['insideWidth_m', 'insideLength_m', 'top_C']);
  return (
    <>
      <Choice<ElementsTold>
        label={START.kiln.elements}
        value={elements}
        options={ELEMENTS.map((value) => ({ value, ...START.kiln[value] }))}
        onChange={setElements}
        testID="start-elements"
      />
      {inputs}
      <Words size="label" tone="muted">
        {START.kiln.sizes}
      </Words>
      <Action
        title={START.next}
        testID="start-next"
        onPress={() => save(elements === 'notSure' ? {} : { elements, acrossLag_s_per_300mm: acrossLagFrom(elements) }) && onAnswer()}
      />
    </>
  );
}

function ControllerQuestion({ shelves, studio, onAnswer }: Asked) {
  const [controller] = shelves.controllers;
  const [unit, setUnit] = useState<'C' | 'F' | 'notSure'>('notSure');
  const { inputs, save } = useRecord('controllers', controller, ['mostSegments', 'programs']);
  return (
    <>
      <Choice<'C' | 'F' | 'notSure'>
        label={START.controller.shows}
        value={unit}
        options={[
          { value: 'C', title: '°C' },
          { value: 'F', title: '°F' },
          { value: 'notSure', ...START.controller.notSure },
        ]}
        onChange={setUnit}
        testID="start-shows"
      />
      {inputs}
      <Words size="label" tone="muted">
        {START.controller.left}
      </Words>
      <Action title={START.next} testID="start-next" onPress={() => save({ unit: unit === 'notSure' ? studio.temperatureUnit : unit }) && onAnswer()} />
    </>
  );
}

/** As they are met most, and the studio's own last. */
function usualFirst(families: Shelves['families']): Shelves['families'] {
  const place = (id: string): number => {
    const at = TYPICAL_FAMILIES.findIndex((one) => one.id === id);
    return at < 0 ? TYPICAL_FAMILIES.length : at;
  };
  return families.toSorted((a, b) => place(a.id) - place(b.id));
}

function GlassQuestion({ shelves, onAnswer }: Asked) {
  return (
    <Answers>
      <Words size="label" tone="muted">
        {START.glass.about}
      </Words>
      {usualFirst(shelves.families).map(({ id, name }) => (
        <Answer key={id} title={name} testID={`start-${id}`} onPress={() => onAnswer({ familyId: id })} />
      ))}
      <Answer title={START.notSure} note={START.glass.notSure} testID="start-not-sure" onPress={() => onAnswer({ familyId: null })} />
    </Answers>
  );
}

function ScheduleQuestion({ studio, onAnswer }: Asked) {
  const [typed, setTyped] = useState(studio.firstDay?.schedule ?? '');
  return (
    <>
      <Words size="label" tone="muted">
        {START.schedule.about}
      </Words>
      <Field label={START.schedule.label} hint={START.schedule.hint} value={typed} onChange={setTyped} multiline testID="start-schedule" />
      <Action title={START.schedule.keep} disabled={typed.trim() === ''} testID="start-keep" onPress={() => onAnswer({ schedule: typed.trim() })} />
      <Answers>
        <Answer {...START.schedule.none} testID="start-none" onPress={() => onAnswer({ schedule: '' })} />
        <Answer title={START.notSure} testID="start-not-sure" onPress={() => onAnswer({ schedule: '' })} />
      </Answers>
    </>
  );
}

function ShelfQuestion({ onAnswer }: Asked) {
  const [warned, setWarned] = useState(false);
  if (warned)
    return (
      <Notice tone="care" testID="start-caution" actions={<Action title={START.shelf.understood} testID="start-understood" onPress={() => onAnswer()} />}>
        {START.shelf.caution}
      </Notice>
    );
  return (
    <Answers>
      <Answer {...START.shelf.yes} testID="start-yes" onPress={() => onAnswer()} />
      <Answer {...START.shelf.no} testID="start-no" onPress={() => setWarned(true)} />
      <Answer title={START.notSure} testID="start-not-sure" onPress={() => setWarned(true)} />
    </Answers>
  );
}

const QUESTIONS: Record<FirstQuestion, (props: Asked) => ReactNode> = {
  units: UnitsQuestion,
  kiln: KilnQuestion,
  controller: ControllerQuestion,
  glass: GlassQuestion,
  schedule: ScheduleQuestion,
  shelf: ShelfQuestion,
};

/** A side that a ruler has, of the first tile. */
const SIDE_M = { mm: 0.1, in: 4 * 0.0254 } as const;
const SHEETS = 2;

function FirstPiece({ shelves, day, onDone }: { shelves: Shelves; day: FirstDay; onDone(): void }) {
  const router = useRouter();
  const outbox = useOutbox();
  const { length } = useStudioUnits();
  // The same ids for every try, so that a repeated save makes one piece.
  const [[id, ...layerIds]] = useState(() => Array.from({ length: 1 + SHEETS }, () => uuid()));
  const glass = firstGlass(shelves, day.familyId);
  const side_m = SIDE_M[length];
  const side = text(formatLength(side_m, length));
  const make = (): void => {
    const layers = layerIds.map((layerId) => firstLayer(layerId, 'sheet', glass, glass?.id ?? '', length));
    void outbox.put('createPiece', {
      id,
      name: START.first.name,
      doc: {
        schemaVersion: 3,
        footprint: { shape: 'rectangle', width_m: side_m, length_m: side_m },
        dammed: false,
        typed: { width: side, length: side },
        journey: [{ kind: 'lay', id: FIRST_LAID_ID, side: 'above', layers }],
      },
    });
    onDone();
    router.replace(planHref(id));
  };
  const family = shelves.families.find((one) => one.id === glass?.familyId)?.name ?? '';
  return (
    <>
      <Words size="title" bold role="heading" aria-level={2} testID="first-piece-offer">
        {START.first.title}
      </Words>
      <Words>{START.first.about(family)}</Words>
      <Action title={START.first.make(side)} disabled={!glass} testID="make-tile" onPress={make} />
      <Action
        kind="second"
        title={START.first.own}
        testID="own-piece"
        onPress={() => {
          onDone();
          router.replace('/pieces/new');
        }}
      />
    </>
  );
}
