/** Where practitioners differ: each school composed for this very body, so that what it costs can be read off. */
import {
  type FiringCase,
  type School,
  type TemperatureUnit,
  brokenOf,
  consequences,
  formatDuration,
  formatLength,
  formatTemperature,
  hottestSegment,
  text,
} from '@torvin/core';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';

export interface SchoolPanelProps {
  firing: FiringCase;
  unit: TemperatureUnit;
  working: boolean;
  onTake(school: School): void;
}

const HEATS = { cooler: 'Cooler and longer', hotter: 'Hotter and shorter' } as const;
const SOAKS = { annealing: 'soak at the annealing point', lower: 'soak low, near the strain point' } as const;
const COSTS = {
  cooler: 'Crisper edges and easier to hit; longer where glass hazes.',
  hotter: 'Less time in the hazing range; a minute or a few degrees matter more.',
} as const;

const SCHOOLS = (['cooler', 'hotter'] as const).flatMap((heat) => (['annealing', 'lower'] as const).map((soak) => ({ heat, soak })));

export function SchoolPanel({ firing, unit, working, onTake }: SchoolPanelProps) {
  const { length } = useUnits();
  return (
    <View role="list">
      <Words size="label" tone="muted">
        {`In use: ${HEATS[firing.school.heat].toLowerCase()}, ${firing.school.soak === 'auto' ? `soak by thickness, low from ${text(formatLength(firing.limits.thick_m, length))}` : SOAKS[firing.school.soak]}. Every row is computed for this body and kiln.`}
      </Words>
      {SCHOOLS.map((school) => (
        <SchoolRow key={`${school.heat} ${school.soak}`} school={school} firing={firing} unit={unit} working={working} onTake={() => onTake(school)} />
      ))}
    </View>
  );
}

function SchoolRow({ school, firing, unit, working, onTake }: Omit<SchoolPanelProps, 'onTake'> & { school: (typeof SCHOOLS)[number]; onTake(): void }) {
  const { colours } = useTheme();
  const units = useUnits();
  const { value, problem } = useComputed('compose', { ...firing, school, units });
  const taken = firing.school.heat === school.heat && firing.school.soak === school.soak;
  const name = `${HEATS[school.heat]}, ${SOAKS[school.soak]}`;
  const figures = value ? consequences({ firing, evaluation: value }, { firing, evaluation: value }, units) : [];
  const figure = (what: string): string => {
    const found = figures.find((one) => one.what === what);
    return found ? text(found.after) : '–';
  };
  const work = value?.segments[hottestSegment(value.segments)];
  const broken = value ? brokenOf(value.readings).length : 0;
  return (
    <View
      role="listitem"
      style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}
      testID={`school-${school.heat}-${school.soak}`}
    >
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <View style={{ flex: 1 }}>
          <Words bold>{name}</Words>
          <Words size="label" tone="muted">
            {COSTS[school.heat]}
          </Words>
        </View>
        {taken ? (
          <Words size="label">in use</Words>
        ) : (
          <Action
            kind="second"
            title="Take it"
            label={`Take it: ${name}`}
            disabled={working || !value}
            testID={`take-${school.heat}-${school.soak}`}
            onPress={onTake}
          />
        )}
      </View>
      {problem && <Words tone="warn">{problem.message}</Words>}
      {value && work && (
        <>
          <Words>
            {`${text(formatTemperature(work.target_C, unit))} for ${text(formatDuration(work.hold_s))}; ${figure('in all')} in all; haze ${figure('haze')}; ${figure('stress left')} left; core to skin ${figure('core to skin')}.`}
          </Words>
          {broken > 0 && <Words tone="warn" bold>{`Breaks ${broken === 1 ? 'a limit' : `${broken} limits`}.`}</Words>}
          {value.remarks.map((remark) => (
            <Words key={remark} size="label">
              {remark}
            </Words>
          ))}
        </>
      )}
      {!value && !problem && <Words tone="muted">Computing …</Words>}
    </View>
  );
}
