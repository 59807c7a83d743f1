/** How this studio writes its figures, what is typed may be in any unit; and whether it is light or dark. */
import type { Studio } from '@torvin/schema';
import { View } from 'react-native';
import { useSaveStudio, useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';

type UnitKey = 'temperatureUnit' | 'lengthUnit' | 'massUnit';

const KINDS: readonly { key: UnitKey; label: string; options: readonly { value: Studio[UnitKey]; title: string }[] }[] = [
  {
    key: 'temperatureUnit',
    label: 'Temperature',
    options: [
      { value: 'C', title: '°C' },
      { value: 'F', title: '°F' },
    ],
  },
  {
    key: 'lengthUnit',
    label: 'Length',
    options: [
      { value: 'mm', title: 'mm' },
      { value: 'in', title: 'inch' },
    ],
  },
  {
    key: 'massUnit',
    label: 'Mass',
    options: [
      { value: 'g', title: 'g, kg' },
      { value: 'oz', title: 'oz, lb' },
    ],
  },
];

export function StudioUnits() {
  const studio = useStudio();
  const save = useSaveStudio();
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="studio-units">
      <Words bold role="heading" aria-level={2}>
        Figures and screen
      </Words>
      <Words size="label" tone="muted">
        Write a size, mass or temperature in any unit: 3/8 in, 6 mm, 33 oz, 1390F. A bare number is in the unit chosen here.
      </Words>
      {KINDS.map(({ key, label, options }) => (
        <Choice
          key={key}
          label={label}
          value={studio[key]}
          options={options}
          onChange={(unit) => save({ [key]: unit })}
          testID={`unit-${label.toLowerCase()}`}
        />
      ))}
      <Choice<Studio['theme']>
        label="Look of the screen"
        value={studio.theme}
        options={[
          { value: 'system', title: 'As the device', note: 'light or dark' },
          { value: 'light', title: 'Light' },
          { value: 'dark', title: 'Dark', note: 'for the kiln room' },
        ]}
        onChange={(theme) => save({ theme })}
        testID="theme"
      />
      <Choice<Studio['csv']>
        label="Tables for a spreadsheet"
        value={studio.csv}
        options={[
          { value: 'comma', title: '1.5, 2.5', note: 'decimal point' },
          { value: 'semicolon', title: '1,5; 2,5', note: 'decimal comma' },
        ]}
        onChange={(csv) => save({ csv })}
        testID="csv"
      />
    </View>
  );
}
