/** One of the studio's own forms, or none; each drawn, the rest of them found by their names. */
import type { FormShape } from '@torvin/core';
import { useState } from 'react';
import { View } from 'react-native';
import { FormMark } from '@/section/FormDrawing';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Search } from '@/ui/Search';

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

/** More are not looked through at a glance. */
const SHOWN_AT_MOST = 8;
const NONE = 'none';

export function FormChoice({ label, chosen, forms, none, fault, testID = 'form', onChange }: FormChoiceProps) {
  const [wanted, setWanted] = useState('');
  if (forms.length === 0 && !chosen) return null;
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = forms.filter(({ name }) => words.every((word) => name.toLowerCase().includes(word)));
  const shown = [...new Set([...(chosen ? [chosen] : []), ...found])].slice(0, SHOWN_AT_MOST);
  return (
    <View>
      {forms.length > SHOWN_AT_MOST && (
        <Search label={`Find among ${forms.length} of them`} value={wanted} onChange={setWanted} hint="words of its name" testID={`find-${testID}`} />
      )}
      <Choice
        label={label}
        value={chosen?.id ?? NONE}
        options={[...shown.map((form) => ({ value: form.id, title: form.name, mark: <FormMark form={form} /> })), { value: NONE, ...none }]}
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
