/** One of the studio's own forms, or none; each drawn, the rest of them found by their names. */
import type { FormShape } from '@torvin/core';
import { View } from 'react-native';
import { FormMark } from '@/section/FormDrawing';
import { FoundChoice } from '@/ui/FoundChoice';
import { Notice } from '@/ui/Notice';

type ShelfForm = { id: string; name: string } & FormShape;

export interface FormChoiceProps {
  label: string;
  chosen: ShelfForm | null;
  /** Those that serve. */
  forms: readonly ShelfForm[];
  /** What there is without one. */
  none: { title: string; note: string };
  fault?: string;
  testID?: string;
  onChange(formId: string | null): void;
}

const NONE = 'none';

export function FormChoice({ label, chosen, forms, none, fault, testID = 'form', onChange }: FormChoiceProps) {
  if (forms.length === 0 && !chosen) return null;
  const offered = chosen && forms.every(({ id }) => id !== chosen.id) ? [chosen, ...forms] : forms;
  return (
    <View>
      <FoundChoice
        label={label}
        value={chosen?.id ?? NONE}
        options={offered.map((form) => ({ value: form.id, title: form.name, mark: <FormMark form={form} /> }))}
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
