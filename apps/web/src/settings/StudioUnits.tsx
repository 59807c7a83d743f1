/** How this studio writes its figures, whatever unit is typed; and whether it is light or dark. */
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
import { STUDIO_UNITS } from './words';

type UnitKey = 'temperatureUnit' | 'lengthUnit' | 'massUnit';

const KINDS: readonly { key: UnitKey; label: string; options: readonly { value: Studio[UnitKey]; title: string }[] }[] = [
  {
    key: 'temperatureUnit',
    label: STUDIO_UNITS.temperature,
    options: [
      { value: 'C', title: '°C' },
      { value: 'F', title: '°F' },
    ],
  },
  {
    key: 'lengthUnit',
    label: STUDIO_UNITS.length,
    options: [
      { value: 'mm', title: 'mm' },
      { value: 'in', title: 'inch' },
    ],
  },
  {
    key: 'massUnit',
    label: STUDIO_UNITS.mass,
    options: [
      { value: 'g', title: STUDIO_UNITS.gKg },
      { value: 'oz', title: STUDIO_UNITS.ozLb },
    ],
  },
];

export function StudioUnits() {
  const [asked, setAsked] = useState(false);
  const studio = useStudio();
  const save = useSaveStudio();
  return (
    <View style={{ gap: space.small }} testID="studio-units">
      <Words size="label" tone="muted">
        {STUDIO_UNITS.writeSizeMass}
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
      <Choice<Studio['csv']>
        label={STUDIO_UNITS.tablesSpreadsheet}
        value={studio.csv}
        options={[
          { value: 'comma', title: '1.5, 2.5', note: STUDIO_UNITS.decimalPoint },
          { value: 'semicolon', title: '1,5; 2,5', note: STUDIO_UNITS.decimalComma },
        ]}
        onChange={(csv) => save({ csv })}
        testID="csv"
      />
    </View>
  );
}

/** Light or dark. */
export function ScreenLook() {
  const studio = useStudio();
  const save = useSaveStudio();
  return (
    <Choice<Studio['theme']>
      label={STUDIO_UNITS.lookScreen}
      value={studio.theme}
      options={[
        { value: 'system', title: STUDIO_UNITS.asTheDevice, note: STUDIO_UNITS.lightOrDark },
        { value: 'light', title: STUDIO_UNITS.light },
        { value: 'dark', title: STUDIO_UNITS.dark, note: STUDIO_UNITS.kilnRoom },
      ]}
      onChange={(theme) => save({ theme })}
      testID="theme"
    />
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
              title={STUDIO_UNITS.change(name)}
              testID={`controller-counts-${id}`}
              onPress={() => router.push(`/shelves/controllers/${id}`)}
            />
          ))}
          <Action
            kind="second"
            title={`${others.length === 1 ? STUDIO_UNITS.itShows : STUDIO_UNITS.theyShow} °${theirs}`}
            testID="controllers-keep"
            onPress={onKeep}
          />
        </View>
      }
    >
      {others.length === 1
        ? STUDIO_UNITS.setKeySheets(one.name, theirs, unit)
        : STUDIO_UNITS.setTheirKey(others.map(({ name }) => name).join(', '), theirs, unit)}
    </Notice>
  );
}
