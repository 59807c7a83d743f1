/** One of the studio's own forms, or none; each drawn, the rest of them found by their names. */
import type { FormShape } from '@torvin/core/form';
import { stageTitle, standing } from '@torvin/core/making';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { FormMark } from '@/section/FormDrawing';
import { FoundChoice } from '@/ui/FoundChoice';
import { Notice } from '@/ui/Notice';
import { FORM_CHOICE } from './words';

type ShelfForm = { id: string; name: string } & FormShape;

export interface FormChoiceProps {
  label: string;
  chosen: ShelfForm | null;
  /** Those that serve. */
  forms: readonly ShelfForm[];
  /** Of those that are being made yet. */
  makings?: Shelves['makings'];
  /** What there is without one. */
  none: { title: string; note: string };
  fault?: string;
  testID?: string;
  onChange(formId: string | null): void;
}

const NONE = 'none';

/** What of its making is next; nothing where it is finished, or was not made here. */
function inTheMaking(formId: string, makings: Shelves['makings']): string | undefined {
  // The newest stands first.
  const making = makings.find((one) => one.formId === formId);
  const next = making && standing(making, null, null).next;
  return making && next ? FORM_CHOICE.makingNext(stageTitle(next, making).toLowerCase()) : undefined;
}

export function FormChoice({ label, chosen, forms, makings = [], none, fault, testID = 'form', onChange }: FormChoiceProps) {
  if (forms.length === 0 && !chosen) return null;
  const offered = chosen && forms.every(({ id }) => id !== chosen.id) ? [chosen, ...forms] : forms;
  return (
    <View>
      <FoundChoice
        label={label}
        value={chosen?.id ?? NONE}
        options={offered.map((form) => ({ value: form.id, title: form.name, note: inTheMaking(form.id, makings), mark: <FormMark form={form} /> }))}
        none={{ value: NONE, ...none }}
        onChange={(id) => onChange(id === NONE ? null : id)}
        testID={testID}
      />
      {fault && (
        <Notice tone="warn" testID={`fault-${testID}`}>
          {fault}
        </Notice>
      )}
    </View>
  );
}
