/** What was measured after a firing: sizes, a cone beside the glass, what was read between crossed polarisers. */
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { CONE_RANGE, type MeasuredEntry, type MeasuredName } from './measuredEntry';
import { MEASURED } from './words';

export interface MeasuredFieldsProps {
  value: MeasuredEntry;
  fault: { field: string; message: string } | null;
  /** Those that are not asked. */
  without?: readonly MeasuredName[];
  onChange(value: MeasuredEntry): void;
}

/** Nothing brings it down. */
export const NO_BEND: readonly MeasuredName[] = ['down'];
/** Nothing of glass was fired. */
export const NO_GLASS: readonly MeasuredName[] = ['down', 'largest', 'thickness', 'delay', 'path', 'plain'];

const PAIRS: readonly (readonly MeasuredName[])[] = [['down'], ['largest', 'thickness'], ['cone', 'bent'], ['delay', 'path'], ['plain']];

export function MeasuredFields({ value, fault, without = [], onChange }: MeasuredFieldsProps) {
  return (
    <View style={{ gap: space.small }}>
      {PAIRS.filter((names) => names.some((name) => !without.includes(name))).map((names) => (
        <View key={names[0]} style={{ flexDirection: 'row', gap: space.medium }}>
          {names
            .filter((name) => !without.includes(name))
            .map((name) => (
              <Field
                key={name}
                label={MEASURED.labels[name]}
                hint={name === 'cone' ? MEASURED.coneHint(...CONE_RANGE) : MEASURED.hints[name]}
                value={value[name]}
                onChange={(typed) => onChange({ ...value, [name]: typed })}
                error={fault?.field === name ? fault.message : undefined}
                testID={`measured-${name}`}
              />
            ))}
        </View>
      ))}
      <Words size="label" tone="muted">
        {MEASURED.about}
      </Words>
    </View>
  );
}
