/** The rows of a schedule as they stand on a paper, to be typed, and what a bare figure there is in. */
import { type PaperAs, WRITTEN_ROWS_AT_MOST, type WrittenRow } from '@torvin/core/schedule';
import type { TemperatureUnit } from '@torvin/core/units';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import { COLUMNS, EMPTY_ROW } from './written';
import { PAPER_ROWS } from './words';

export function PaperUnits({ as, onChange }: { as: PaperAs; onChange(as: PaperAs): void }) {
  return (
    <>
      <Choice<TemperatureUnit>
        label={PAPER_ROWS.degrees}
        value={as.unit}
        options={[
          { value: 'C', title: '°C' },
          { value: 'F', title: '°F' },
        ]}
        onChange={(unit) => onChange({ ...as, unit })}
        testID="paper-unit"
      />
      <Choice<PaperAs['rateAs']>
        label={PAPER_ROWS.ratesAre}
        value={as.rateAs}
        options={[
          { value: 'perHour', title: PAPER_ROWS.anHour },
          { value: 'perMinute', title: PAPER_ROWS.aMinute },
          { value: 'minutes', title: PAPER_ROWS.minutesToGo },
        ]}
        onChange={(rateAs) => onChange({ ...as, rateAs })}
        testID="paper-rate"
      />
      <Choice<PaperAs['holdAs']>
        label={PAPER_ROWS.holdsAre}
        value={as.holdAs}
        options={[
          { value: 'minutes', title: 'minutes' },
          { value: 'hours', title: 'hours' },
          { value: 'point', title: 'h.min' },
        ]}
        onChange={(holdAs) => onChange({ ...as, holdAs })}
        testID="paper-hold"
      />
    </>
  );
}

export interface PaperRowsProps {
  rows: readonly WrittenRow[];
  as: PaperAs;
  /** path: the row's number, then its column. */
  fault: { path: string; message: string } | null;
  onChange(rows: WrittenRow[]): void;
}

export function PaperRows({ rows, as, fault, onChange }: PaperRowsProps) {
  const titles = { rate: RATES[as.rateAs], target: `°${as.unit}`, hold: HOLDS[as.holdAs] };
  return (
    <>
      <View role="group" aria-label={PAPER_ROWS.rows} style={{ gap: space.small }} testID="paper-rows">
        {rows.map((row, i) => (
          <View key={i}>
            <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: space.small }}>
              <View style={{ width: 20, paddingBottom: space.medium }}>
                <Words bold>{i + 1}</Words>
              </View>
              {COLUMNS.map((column) => (
                <Field
                  key={column}
                  label={`${column}, ${titles[column]}`}
                  value={row[column]}
                  onChange={(value) => onChange(rows.with(i, { ...row, [column]: value }))}
                  testID={`paper-${i}-${column}`}
                />
              ))}
              <Action
                kind="plain"
                title="×"
                label={PAPER_ROWS.takeRowAway(i + 1)}
                disabled={rows.length === 1}
                testID={`paper-${i}-away`}
                onPress={() => onChange(rows.toSpliced(i, 1))}
              />
            </View>
            {fault?.path.startsWith(`${i}.`) && (
              <Words size="label" bold tone="warn" role="alert" testID="paper-fault">
                {fault.message}
              </Words>
            )}
          </View>
        ))}
      </View>
      <View style={{ alignItems: 'flex-start' }}>
        <Action kind="second" title="+ Row" disabled={rows.length >= WRITTEN_ROWS_AT_MOST} testID="paper-more" onPress={() => onChange([...rows, EMPTY_ROW])} />
      </View>
    </>
  );
}

const RATES: Record<PaperAs['rateAs'], string> = { perHour: '°/h', perMinute: '°/min', minutes: 'min' };
const HOLDS: Record<PaperAs['holdAs'], string> = { minutes: 'min', hours: 'h', point: 'h.min' };
