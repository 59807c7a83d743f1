/** Fields of a sheet side by side, each with the same in the other unit under it; what is wrong in one is said under all of them. */
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Chips } from '@/ui/Chips';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { type Read, type Typed, inOtherUnit } from './typed';

export interface Sheet {
  typed: Typed;
  /** Changes some of it. */
  set(change: Typed): void;
  problems: Read<unknown>['problems'];
}

export interface AskedField {
  field: string;
  label: string;
  /** What is taken where it is empty. */
  hint?: string;
  /** Needs the room of two. */
  wide?: boolean;
  onBlur?(): void;
}

const [NARROW, WIDE] = [76, 200];

export function FieldRow({ sheet, fields }: { sheet: Sheet; fields: readonly AskedField[] }) {
  const units = useUnits();
  const { typed, set, problems } = sheet;
  const wrong = fields.filter(({ field }) => problems[field]);
  return (
    <View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.medium, rowGap: space.small }}>
        {fields.map(({ field, label, hint, wide, onBlur }) => (
          <View key={field} style={{ flexGrow: 1, flexShrink: 1, flexBasis: wide ? WIDE : NARROW, minWidth: 0 }}>
            <Field
              label={label}
              value={typed[field] ?? ''}
              onChange={(words) => set({ [field]: words })}
              onBlur={onBlur}
              error={problems[field]}
              errorBelow
              hint={inOtherUnit(field, typed[field] ?? '', units) ?? hint ?? ' '}
              testID={`reckon-${field}`}
            />
          </View>
        ))}
      </View>
      {wrong.map(({ field }) => (
        <Words key={field} size="label" bold tone="warn" role="alert" testID={`reckon-${field}-error`}>
          {problems[field]}
        </Words>
      ))}
    </View>
  );
}

/** One of a few in a line that scrolls, under its name. */
export function NamedChips<T extends string>({
  label,
  ...rest
}: {
  label: string;
  value: T | null;
  options: readonly { value: T; title: string }[];
  onPick(value: T): void;
  testID: string;
}) {
  const { onPick, ...chips } = rest;
  return (
    <View>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <Chips<T> label={label} {...chips} onChange={(next) => next && onPick(next)} />
    </View>
  );
}
