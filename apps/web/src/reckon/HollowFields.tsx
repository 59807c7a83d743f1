/** Which hollow it is, and its sizes. '18 × 26 × 4 cm' in the first of them is all three. */
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { HOLLOWS, HOLLOW_TITLES, type HollowForm, SIZES, formIn, spreadSizes, typedOutline } from './hollowEntry';
import { type AskedField, FieldRow, type Sheet } from './TypedField';
import type { Where } from './useWhere';

const OPTIONS = HOLLOWS.map((value) => ({ value, title: HOLLOW_TITLES[value] }));

/** of: what its fields begin with; more: what is asked beside its sizes. */
export function HollowFields({ sheet, of = '', more = [], where }: { sheet: Sheet; of?: string; more?: readonly AskedField[]; where: Where | null }) {
  const units = useUnits();
  const { typed, set } = sheet;
  const form = formIn(typed, of);
  const spread = (): void => {
    const apart = spreadSizes(typed, of);
    if (apart !== typed) set(apart);
  };
  return (
    <View style={{ gap: space.small }}>
      <Chips<HollowForm> label="Form" value={form} options={OPTIONS} onChange={(next) => next && set({ [`${of}form`]: next })} testID={`reckon-${of}form`} />
      <FieldRow
        sheet={sheet}
        fields={[
          ...SIZES[form].map(({ field, label, hint }, i) => ({
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
