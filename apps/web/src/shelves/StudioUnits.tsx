/** The units this studio writes its figures in; what is typed may be in any. */
import { View } from 'react-native';
import { useSaveStudio, useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';

export function StudioUnits() {
  const { temperatureUnit, lengthUnit, massUnit } = useStudio();
  const save = useSaveStudio();
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="studio-units">
      <Words bold role="heading" aria-level={2}>
        Figures of this studio
      </Words>
      <Words size="label" tone="muted">
        Write a size, mass or temperature in any unit: 3/8 in, 6 mm, 33 oz, 1390F. A bare number is in the unit chosen here.
      </Words>
      <Choice
        label="Temperature"
        value={temperatureUnit}
        options={[
          { value: 'C', title: '°C' },
          { value: 'F', title: '°F' },
        ]}
        onChange={(unit) => save({ temperatureUnit: unit })}
        testID="unit-temperature"
      />
      <Choice
        label="Length"
        value={lengthUnit}
        options={[
          { value: 'mm', title: 'mm' },
          { value: 'in', title: 'inch' },
        ]}
        onChange={(unit) => save({ lengthUnit: unit })}
        testID="unit-length"
      />
      <Choice
        label="Mass"
        value={massUnit}
        options={[
          { value: 'g', title: 'g, kg' },
          { value: 'oz', title: 'oz, lb' },
        ]}
        onChange={(unit) => save({ massUnit: unit })}
        testID="unit-mass"
      />
    </View>
  );
}
