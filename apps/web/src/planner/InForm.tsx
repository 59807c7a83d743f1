/** A piece in the form that a firing stands in: both cut through, to scale, and what there is to say of blank, edge, touch and release. */
import { type Footprint, footprintWords } from '@torvin/core/body';
import { leftToUse, leftWords } from '@torvin/core/form';
import type { Shaping } from '@torvin/core/look';
import { betweenThem, firingOf, formNotes, heldAcross, overShelf, snapshotOf, withStep } from '@torvin/core/piece';
import { printWords } from '@torvin/core/quantity';
import { wearOf, wearWords } from '@torvin/core/release';
import { formatLength, text } from '@torvin/core/units';
import { FORM_USE_NAMES, type PieceDoc, type Shelves, type Step } from '@torvin/schema';
import { useMemo } from 'react';
import { View } from 'react-native';
import { useFormNow } from '@/data/forms';
import { RescueCard } from './RescueCard';
import { useUnits } from '@/data/FormUnits';
import { FormDrawing } from '@/section/FormDrawing';
import { TurnedForm } from '@/section/TurnedForm';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { IN_FORM } from './words';

export interface InFormProps {
  doc: PieceDoc;
  /** As it is planned; it may stand in the piece already. */
  step: Step;
  shelves: Shelves;
  /** Whether it is drawn above already, where it sinks into its form or hangs over it. */
  isDrawn?: boolean;
  /** Cuts the blank to what ends at the rim. */
  onCut?(outline: Footprint, shaping: Shaping): void;
  /** Of its schedule, where it has one, °C. */
  hottest_C?: number | null;
  /** A warning that the page shows above already. */
  above?: string | null;
}

export function InForm({ doc, step, shelves, isDrawn = false, onCut, hottest_C = null, above = null }: InFormProps) {
  const units = useUnits();
  const { form, shelf } = step.setup;
  const snapshot = useMemo(
    () => snapshotOf(firingOf(doc, step.id) ? withStep(doc, step) : { ...doc, journey: [...doc.journey, step] }, step, shelves),
    [doc, step, shelves],
  );
  const now = useFormNow(form?.id, shelves);
  const under = useFormNow(shelf?.id, shelves);
  if (!form) return null;
  if (!snapshot.ok)
    return snapshot.problem.path === 'setup.form' ? (
      <Notice tone="warn" testID="in-form-problem">
        {snapshot.problem.message}
      </Notice>
    ) : null;
  const { firing, layers } = snapshot.value;
  const held = snapshot.value.setup.form ?? form;
  const { letsGo, rescue, warns, notes, cutTo } = formNotes(held, firing, betweenThem(step, shelves), units, hottest_C);
  const blank = heldAcross(held, firing);
  const record = shelves.forms.find(({ id }) => id === form.id);
  const bends = held.shape.use === 'hollow' || held.shape.use === 'former';
  const prints = record?.use === 'texture' ? [printWords(record)] : [];
  const out = shelf ? overShelf(held, shelf, units) : null;
  const coats = [
    ...(now?.coats ?? []).map((coat) => ({ ...coat, on: '' })),
    // Of a shelf that is named, what is on it is told by its name.
    ...(under?.coats ?? []).map((coat) => ({ ...coat, on: shelf?.name ?? '' })),
  ];
  const left = record && now ? leftToUse(record, now.use.fired) : null;
  const leftSaid = record && now ? leftWords(record, now.use.fired) : '';
  const state = [
    ...(leftSaid !== '' && left !== 0 ? [leftSaid] : []),
    ...(record?.mark ? [IN_FORM.mark(record.mark)] : []),
    ...(record?.damaged ? [IN_FORM.markedChippedCracked] : []),
  ].join(' ');
  return (
    <View style={{ gap: space.small }} testID="in-form">
      {rescue ? (
        <View style={{ marginHorizontal: -space.large }}>
          <TurnedForm
            form={held.shape}
            glass={{ ...blank, down: 1, layers }}
            room_m={rescue.room_m}
            words={IN_FORM.turnedOverPosts(held.name, text(formatLength(rescue.room_m, units.length)))}
          />
        </View>
      ) : !(isDrawn && bends) && held.shape.use !== 'shelf' ? (
        <View style={{ marginHorizontal: -space.large }}>
          <FormDrawing form={held.shape} blank={{ ...blank, layers }} words={IN_FORM.cutThroughScale(FORM_USE_NAMES[held.shape.use], held.name)} />
        </View>
      ) : null}
      {letsGo && (letsGo.isSound || letsGo.verdict !== above) && (
        <Notice tone={letsGo.isSound ? 'plain' : 'warn'} testID="lets-go">
          {[letsGo.verdict, letsGo.why, ...letsGo.helps].join(' ')}
        </Notice>
      )}
      <RescueCard rescue={rescue} />
      {[...warns, ...(left === 0 ? [leftSaid] : []), ...(out ? [out] : [])]
        .filter((words) => words !== above)
        .map((words) => (
          <Notice key={words} tone="warn" testID="form-warning">
            {words}
          </Notice>
        ))}
      {cutTo && onCut && firing.setup.shaping && (
        <Action
          kind="second"
          title={IN_FORM.cutFit(footprintWords(cutTo, units.length))}
          testID="cut-to-form"
          onPress={() => firing.setup.shaping && onCut(cutTo, firing.setup.shaping)}
        />
      )}
      {coats.map(({ coat, release, since, on }) => {
        const words = `${[release.name, [on, coat.zone].filter(Boolean).join(', ')].filter(Boolean).join(' on ')}: ${wearWords(release, since, coat.scratched, units)}`;
        return wearOf(release, since, coat.scratched) === 'recoat' ? (
          <Notice key={coat.id} tone="warn" testID="in-form-coat">
            {words}
          </Notice>
        ) : (
          <Words key={coat.id} size="label" testID="in-form-coat">
            {words}
          </Words>
        );
      })}
      {[...notes, ...prints, ...(state ? [state] : [])].map((words) => (
        <Words key={words} size="label" testID="form-note">
          {words}
        </Words>
      ))}
    </View>
  );
}
