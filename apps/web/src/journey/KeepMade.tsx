/** What comes out of a piece is kept as made glass: what it is, how many, how large; what it is of follows from the piece. */
import { footprintWords } from '@torvin/core/body';
import {
  type AfterStep,
  MADE_FORMS,
  MADE_NAMES,
  type MadeForm,
  type LaidTurn,
  type Yield,
  heatOf,
  isOnePiece,
  namedGlasses,
  stepName,
  yieldOf,
} from '@torvin/core/piece';
import type { Outcome } from '@torvin/core/problem';
import { COUNT, LENGTH, MASS, formatLength, formatMass, readFigure, text, type LengthUnit, type Units } from '@torvin/core/units';
import { MADE_RANGES, type Made, type Shelves, madeSize } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useMadeStock } from '@/data/made';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useSave } from '@/outbox/useOutbox';
import { StripedSwatch } from '@/shelves/StripedSwatch';
import { hasOutline } from '@/shelves/everyGlass';
import { leftWords } from '@/shelves/leftWords';
import { madeOfWords } from '@/shelves/words';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { broughtBy } from './BodyFigures';
import { KEEP_MADE } from './words';
import { WORDS } from '@/ui/said';

export interface KeepMadeProps {
  piece: { id: string; name: string };
  /** The steps up to the one that is looked at, with that. */
  after: readonly AfterStep[];
  /** Its turns in the kiln up to then. */
  turns: readonly LaidTurn[];
  shelves: Shelves;
}

export function KeepMade({ piece, after, turns, shelves }: KeepMadeProps) {
  const units = useUnits();
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const out = useMemo(() => yieldOf(after, namedGlasses(shelves)), [after, shelves]);
  const before = shelves.made.filter(({ from }) => from?.pieceId === piece.id);
  const stock = useMadeStock(before.length > 0);
  const last = after.at(-1);
  if (!out || !last) return null;
  return (
    <View style={{ gap: space.small }}>
      {before.map((made) => (
        <View key={made.id} style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }} testID={`kept-made-${made.id}`}>
          <StripedSwatch shelves={shelves} made={made} />
          <Action kind="plain" title={made.name} label={KEEP_MADE.madeGlassPiece(made.name)} onPress={() => router.push(`/shelves/made/${made.id}`)} />
          <Words size="label" tone="muted">
            {[KEEP_MADE.madeGlass(madeSize(made, units)), ...(stock ? [leftWords(stock(made).left_kg, made, units)] : [])].join(', ')}
          </Words>
        </View>
      ))}
      {open ? (
        <KeepInUnits
          {...{ piece, out, shelves }}
          heat={heatOf(turns, broughtBy(last.body.layers, shelves))}
          stepWords={stepName(last.step).toLowerCase()}
          isLoose={last.body.apart === 1 && !isOnePiece(last.body)}
          there_kg={before.reduce((sum, { mass_kg }) => sum + mass_kg, 0)}
          onDone={() => setOpen(false)}
        />
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <Action kind="second" title={KEEP_MADE.keepMadeGlass} label={KEEP_MADE.keepMadeGlassCut} testID="keep-made" onPress={() => setOpen(true)} />
        </View>
      )}
    </View>
  );
}

interface Entry {
  name: string;
  count: string;
  thickness: string;
  long: string;
  mass: string;
}

interface FormProps {
  piece: { id: string; name: string };
  out: Yield;
  shelves: Shelves;
  heat: Made['heat'];
  /** The step after which it is as it is. */
  stepWords: string;
  /** Nothing holds it together then. */
  isLoose: boolean;
  /** What of it is kept already, kg. */
  there_kg: number;
  onDone(): void;
}

const USUAL: Record<LengthUnit, { across: string; long: string; grain: string }> = {
  mm: { across: '5 mm', long: '300 mm', grain: '3 mm' },
  in: { across: '3/16 in', long: '12 in', grain: '1/8 in' },
};

/** What a form is told by, in its usual figures. */
function usualOf(form: MadeForm, out: Yield, { length }: Units): Pick<Entry, 'thickness' | 'long'> {
  const { across, long, grain } = USUAL[length];
  return { thickness: form === 'cane' ? across : form === 'frit' ? grain : text(formatLength(out.thickness_m, length)), long };
}

/** Less than this share of a piece is not kept by itself. */
const WORTH = 0.02;

const THICKNESS: Partial<Record<MadeForm, string>> = { cane: KEEP_MADE.across, frit: KEEP_MADE.grain };
const { count: COUNTS, thickness_m: THICK, length_m: LONG, mass_kg: HEAVY } = MADE_RANGES;

const KeepInUnits = inFormUnits(KeepForm);

function KeepForm({ piece, out, shelves, heat, stepWords, isLoose, there_kg, onDone }: FormProps) {
  const units = useUnits();
  const save = useSave('saveRecord');
  // While the server is silent it stands among what is kept, and the header says that it waits.
  const { held } = save;
  useEffect(() => {
    if (held) onDone();
  }, [held, onDone]);
  const [form, setForm] = useState<MadeForm>(out.form);
  const began = useMemo(
    (): Entry => ({ name: piece.name, count: String(out.count), ...usualOf(out.form, out, units), mass: text(formatMass(out.mass_kg, units.mass)) }),
    [piece.name, out, units],
  );
  const [entry, setEntry] = useState(began);
  const [fragile, setFragile] = useState(out.form === 'wafer' || out.form === 'lace');
  const [problem, setProblem] = useState<string | null>(null);
  const set = (part: Partial<Entry>): void => {
    setProblem(null);
    setEntry({ ...entry, ...part });
  };

  /** What was left as it stood is that, to the last digit. */
  const kept = (key: keyof Entry, exact: number, read: (typed: string) => Outcome<number>): Outcome<number> =>
    entry[key] === began[key] && form === out.form ? { ok: true, value: exact } : read(entry[key]);

  function keep(): void {
    const count = readFigure(entry.count, { of: COUNT, name: KEEP_MADE.howMany, range: COUNTS }, units);
    const thickness = kept('thickness', out.thickness_m, (typed) =>
      readFigure(typed, { of: LENGTH, name: THICKNESS[form] ?? KEEP_MADE.theThickness, range: THICK }, units),
    );
    const long = readFigure(entry.long, { of: LENGTH, name: WORDS.theLength, range: LONG }, units);
    const mass = kept('mass', out.mass_kg, (typed) => readFigure(typed, { of: MASS, name: KEEP_MADE.allOfIt, range: HEAVY }, units));
    if (entry.name.trim() === '') return setProblem(KEEP_MADE.giveNameFind);
    if (!count.ok) return setProblem(count.problem.message);
    if (!thickness.ok) return setProblem(thickness.problem.message);
    if (form === 'cane' && !long.ok) return setProblem(long.problem.message);
    if (!mass.ok) return setProblem(mass.problem.message);
    const record: Made = {
      ...{ id: uuid(), version: 0, name: entry.name.trim().slice(0, 80), source: '', form, count: count.value },
      ...(hasOutline(form) ? { footprint: out.footprint } : {}),
      ...(form === 'cane' && long.ok ? { length_m: long.value } : {}),
      ...{ thickness_m: thickness.value, mass_kg: mass.value, lie: out.lie, stripes: out.stripes, fragile, heat },
      ...{ from: { pieceId: piece.id, name: piece.name }, note: '', madeAt: Date.now() },
    };
    save.save({ kind: 'made', record, before: null }, { on: 0, id: record.id, then: onDone });
  }

  return (
    <View style={{ gap: space.small }} testID="keep-made-panel">
      <Words size="title" bold role="heading" aria-level={2}>
        {KEEP_MADE.keepMadeGlass}
      </Words>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <StripedSwatch shelves={shelves} made={out} />
        <Words size="label" testID="keep-made-of">
          {KEEP_MADE.asItIs(
            stepWords,
            madeOfWords(out, shelves),
            hasOutline(form) ? `; ${out.count > 1 ? KEEP_MADE.each : ''}${footprintWords(out.footprint, units.length)}` : '',
          )}
        </Words>
      </View>
      <Field label={WORDS.name} value={entry.name} onChange={(name) => set({ name })} testID="keep-name" />
      <Choice
        label={KEEP_MADE.whatItIs}
        value={form}
        options={MADE_FORMS.map((value) => ({ value, title: MADE_NAMES[value] }))}
        onChange={(next) => {
          setForm(next);
          setFragile(next === 'wafer' || next === 'lace');
          set(usualOf(next, out, units));
        }}
        testID="keep-form"
      />
      <View style={{ flexDirection: 'row', gap: space.large }}>
        <Field label={KEEP_MADE.howMany} value={entry.count} onChange={(count) => set({ count })} keyboard="decimal-pad" testID="keep-count" />
        <Field label={THICKNESS[form] ?? WORDS.thick} value={entry.thickness} onChange={(thickness) => set({ thickness })} testID="keep-thickness" />
        {form === 'cane' && <Field label={KEEP_MADE.longEach} value={entry.long} onChange={(long) => set({ long })} testID="keep-long" />}
      </View>
      <Field label={KEEP_MADE.massAll} value={entry.mass} onChange={(mass) => set({ mass })} hint={KEEP_MADE.calculatedWeighIf} testID="keep-mass" />
      <Tick on={fragile} title={KEEP_MADE.fragileLaidItself} onPress={() => setFragile(!fragile)} testID="keep-fragile" />
      {isLoose && (
        <Notice tone="care" testID="keep-loose">
          {KEEP_MADE.nothingHoldsThese}
        </Notice>
      )}
      {!save.saving && there_kg > 0 && out.mass_kg - there_kg < WORTH * out.mass_kg && (
        <Notice tone="care" testID="keep-twice">
          {KEEP_MADE.pieceKeptMade(text(formatMass(there_kg, units.mass)), text(formatMass(out.mass_kg, units.mass)))}
        </Notice>
      )}
      {heat === null && (
        <Notice tone="care" testID="keep-no-heat">
          {KEEP_MADE.noFiringSchedule}
        </Notice>
      )}
      {(problem ?? save.refusal) && (
        <Notice tone="warn" testID="keep-problem">
          {problem ?? save.refusal?.problem.message ?? ''}
        </Notice>
      )}
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Action title={KEEP_MADE.keepIt} label={KEEP_MADE.keepAmongMade} disabled={save.saving} testID="keep-it" onPress={keep} />
        <Action kind="second" title={WORDS.notNow} testID="keep-not" onPress={onDone} />
      </View>
    </View>
  );
}
