/** Which hollow or outline it is, and its sizes. '18 × 26 × 4 cm' in the first of them is all three. */
import { type Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { Fold } from '@/ui/Fold';
import { FormChoice } from '@/planner/FormChoice';
import { HOLLOWS, HOLLOW_TITLES, type HollowForm, OUTLINES, formIn, sizesOf, spreadSizes, typedOfForm, typedOutline } from './hollowEntry';
import { type AskedField, FieldRow, type Sheet } from './TypedField';
import type { Typed } from './typed';
import type { Where } from './useWhere';
import { HOLLOW_FIELDS } from './words';

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
  /** Where it may be a form of the studio's own. */
  shelves?: Shelves;
  where: Where | null;
}

export function HollowFields({ sheet, of = '', asks = 'hollow', more = [], shelves, where }: HollowFieldsProps) {
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
        label={HOLLOW_FIELDS.form}
        value={form}
        options={OPTIONS[asks]}
        onChange={(next) => next && set({ [`${of}form`]: next })}
        testID={`reckon-${of}form`}
      />
      {shelves && asks === 'hollow' && <FromShelf shelves={shelves} onTake={(taken) => set(taken)} of={of} />}
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
          title={HOLLOW_FIELDS.sizesOf(where.piece.name)}
          testID={`reckon-${of}sizes`}
          onPress={() => set(typedOutline(where.piece.doc.footprint, of, units))}
        />
      )}
    </View>
  );
}

/** A dam or mould that stands on the shelf, with its sizes and its liner; nothing where none of them is such a hollow. */
function FromShelf({ shelves, of, onTake }: { shelves: Shelves; of: string; onTake(typed: Typed): void }) {
  const units = useUnits();
  const offered = shelves.forms.filter((form) => !shelves.archived.includes(form.id) && typedOfForm(form, of, units) !== null);
  if (offered.length === 0) return null;
  return (
    <View style={{ marginHorizontal: -space.large }}>
      <Fold title={HOLLOW_FIELDS.fromTheShelf} about={HOLLOW_FIELDS.damMouldSizes} testID={`reckon-${of}shelf`}>
        {() => (
          <FormChoice
            label={HOLLOW_FIELDS.mouldOrDam}
            chosen={null}
            forms={offered}
            testID="reckon-mould"
            none={{ title: HOLLOW_FIELDS.asTyped, note: 'below' }}
            onChange={(id) => {
              const form = offered.find((one) => one.id === id);
              const taken = form && typedOfForm(form, of, units);
              if (taken) onTake(taken);
            }}
          />
        )}
      </Fold>
    </View>
  );
}
