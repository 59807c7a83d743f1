/** Which hollow or outline it is, and its sizes. '18 × 26 × 4 cm' in the first of them is all three. */
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { HOLLOWS, HOLLOW_TITLES, type HollowForm, OUTLINES, formIn, sizesOf, spreadSizes, typedOutline } from './hollowEntry';
import { type AskedField, FieldRow, type Sheet } from './TypedField';
import type { Where } from './useWhere';

const titled = (forms: readonly HollowForm[]) => forms.map((value) => ({ value, title: HOLLOW_TITLES[value] }));
const OPTIONS = { hollow: titled(HOLLOWS), outline: titled(OUTLINES) };

export interface HollowFieldsProps {
  sheet: Sheet;
  /** What its fields begin with. */
  of?: string;
  /** A flat area has no depth. */
  asks?: 'hollow' | 'outline';
  /** What is asked beside its sizes. */
  more?: readonly AskedField[];
  where: Where | null;
}

export function HollowFields({ sheet, of = '', asks = 'hollow', more = [], where }: HollowFieldsProps) {
  const units = useUnits();
  const { typed, set } = sheet;
  const forms = asks === 'hollow' ? HOLLOWS : OUTLINES;
  const form = formIn(typed, of, forms);
  const spread = (): void => {
    const apart = spreadSizes(typed, of, forms);
    if (apart !== typed) set(apart);
  };
  return (
    <View style={{ gap: space.small }}>
      <Chips<HollowForm>
        label="Form"
        value={form}
        options={OPTIONS[asks]}
        onChange={(next) => next && set({ [`${of}form`]: next })}
        testID={`reckon-${of}form`}
      />
      <FieldRow
        sheet={sheet}
        fields={[
          ...sizesOf(form, forms).map(({ field, label, hint }, i) => ({
            ...{ field: `${of}${field}`, label, hint, wide: field === 'corners' },
            ...(i === 0 ? { onBlur: spread } : {}),
          })),
          ...more,
        ]}
      />
      {where && (
        <Action
          kind="plain"
          title={`Sizes of ${where.piece.name}`}
          testID={`reckon-${of}sizes`}
          onPress={() => set(typedOutline(where.piece.doc.footprint, of, units))}
        />
      )}
    </View>
  );
}
