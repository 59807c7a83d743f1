/** How this studio writes its figures, what is typed may be in any unit; and whether it is light or dark. */
import type { Studio } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useShelves } from '@/data/pieces';
import { useSaveStudio, useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
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
  const [asked, setAsked] = useState(false);
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
        <View key={key}>
          <Choice
            label={label}
            value={studio[key]}
            options={options}
            onChange={(unit) => {
              save({ [key]: unit });
              if (key === 'temperatureUnit') setAsked(true);
            }}
            testID={`unit-${label.toLowerCase()}`}
          />
          {key === 'temperatureUnit' && asked && <OtherControllers unit={studio.temperatureUnit} onKeep={() => setAsked(false)} />}
        </View>
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

/** What is keyed in stays in what each controller shows: those that show the other unit are asked about once it is chosen for the studio. */
function OtherControllers({ unit, onKeep }: { unit: Studio['temperatureUnit']; onKeep(): void }) {
  const router = useRouter();
  const { data } = useShelves();
  const others = (data?.controllers ?? []).filter((one) => one.unit !== unit && !data?.archived.includes(one.id));
  if (others.length === 0) return null;
  const [one] = others;
  const theirs = unit === 'F' ? 'C' : 'F';
  return (
    <Notice
      tone="warn"
      testID="controllers-count"
      actions={
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {others.map(({ id, name }) => (
            <Action
              key={id}
              kind="second"
              title={`Change ${name}`}
              testID={`controller-counts-${id}`}
              onPress={() => router.push(`/shelves/controllers/${id}`)}
            />
          ))}
          <Action kind="second" title={`${others.length === 1 ? 'It shows' : 'They show'} °${theirs}`} testID="controllers-keep" onPress={onKeep} />
        </View>
      }
    >
      {others.length === 1
        ? `${one.name} is set to °${theirs}, and its key-in sheets are written so. Does it show °${unit}?`
        : `${others.map(({ name }) => name).join(', ')} are set to °${theirs}, and their key-in sheets are written so. Does one of them show °${unit}?`}
    </Notice>
  );
}
