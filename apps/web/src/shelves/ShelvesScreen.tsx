/** What the studio has: glass, families, kilns, controllers, strip tests; each with its source, what is put away apart. */
import { formatTemperature, text } from '@torvin/core';
import { SHELF_KINDS, type ShelfKind, type Shelves, TYPICAL_SOURCE } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useShelves } from '@/data/pieces';
import type { ShelfRecord } from '@/data/shelves';
import { useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import { SetAside } from './SetAside';
import { StudioUnits } from './StudioUnits';
import { StripTests } from './StripTests';
import { KIND_NAMES } from './fields';

const ORDER: readonly ShelfKind[] = ['glasses', ...SHELF_KINDS.filter((kind) => kind !== 'glasses')];

export function ShelvesScreen() {
  const router = useRouter();
  const shelves = useShelves();
  const [kind, setKind] = useState<ShelfKind>('glasses');
  if (!shelves.data) return <Waiting query={shelves} title="Shelves" />;
  const records: readonly ShelfRecord[] = shelves.data[kind];
  const away = records.filter(({ id }) => shelves.data.archived.includes(id));
  const present = records.filter((record) => !away.includes(record));
  return (
    <Screen title="Shelves" subtitle="everything is computed from these; past work keeps the figures it was made with">
      <Choice<ShelfKind>
        label="Shelf"
        value={kind}
        options={ORDER.map((value) => ({ value, title: KIND_NAMES[value].many }))}
        onChange={setKind}
        testID="shelf"
      />
      {present.some(({ source }) => source === TYPICAL_SOURCE) && (
        <Notice tone="plain" testID="typical-shelf">
          Typical figures to begin with: open what you have and write its own over them, since everything is computed from these.
        </Notice>
      )}
      <Action title={`New ${KIND_NAMES[kind].one.toLowerCase()}`} testID="new-record" onPress={() => router.push(`/shelves/${kind}/new` as never)} />
      <RecordList kind={kind} records={present} shelves={shelves.data} />
      {away.length > 0 && (
        <View style={{ paddingTop: space.large }}>
          <Words bold role="heading" aria-level={2}>
            Put away
          </Words>
          <RecordList kind={kind} records={away} shelves={shelves.data} />
        </View>
      )}
      {kind === 'glasses' && <StripTests shelves={shelves.data} />}
      <StudioUnits />
      <SetAside />
    </Screen>
  );
}

function RecordList({ kind, records, shelves }: { kind: ShelfKind; records: readonly ShelfRecord[]; shelves: Shelves }) {
  const { temperatureUnit: unit } = useStudio();
  return (
    <View role="list">
      {records.map((record) => (
        <LinkRow key={record.id} href={`/shelves/${kind}/${record.id}`} inset={0} testID={`record-${record.id}`}>
          {'colour' in record && <Swatch colour={record.colour} />}
          <View style={{ flex: 1 }}>
            <Words bold tone="touch">
              {record.name}
            </Words>
            <Words size="label" tone="muted">
              {`${aboutOf(record, shelves, unit)} · ${record.source}`}
            </Words>
          </View>
        </LinkRow>
      ))}
    </View>
  );
}

function aboutOf(record: ShelfRecord, { families }: Shelves, unit: 'C' | 'F'): string {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, unit));
  if ('familyId' in record) {
    const family = families.find(({ id }) => id === record.familyId)?.name ?? record.familyId;
    return [family, ...record.contents, ...(record.coated ? ['coated'] : [])].join(', ');
  }
  if ('annealing_C' in record)
    return `${(record.expansion_perK * 1e6).toFixed(1)}·10⁻⁶/K, anneals at ${degrees(record.annealing_C)}, softens at ${degrees(record.softening_C)}`;
  if ('top_C' in record) return `to ${degrees(record.top_C)}`;
  return `${record.mostSegments} segments, °${record.unit}`;
}
