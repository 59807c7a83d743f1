/** Where practitioners differ: each school composed for this very body, so that what it costs can be read off. */
import { type FiringCase, type School, settlesGrains, emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { Words } from '@/ui/Words';
import { ComposedRow } from './ComposedRow';

export interface SchoolPanelProps {
  firing: FiringCase;
  unit: TemperatureUnit;
  working: boolean;
  onTake(school: School): void;
}

const HEATS = { cooler: 'Cooler and longer', hotter: 'Hotter and shorter' } as const;
const SOAKS = { annealing: 'soak at the annealing point', lower: 'soak low, near the strain point' } as const;
const COSTS = {
  cooler: 'Crisper edges and easier to hit; longer where glass devitrifies.',
  hotter: 'Less time where glass devitrifies; a minute or a few degrees matter more.',
} as const;

const SCHOOLS = (['cooler', 'hotter'] as const).flatMap((heat) => (['annealing', 'lower'] as const).map((soak) => ({ heat, soak })));

const TELLS = [
  { what: 'in all', words: (figure: string) => `${figure} in all` },
  { what: 'devit', words: (figure: string) => `devit ${figure}` },
  { what: 'stress left', words: (figure: string) => `${figure} left` },
  { what: 'core–surface', words: (figure: string) => `core–surface ${figure}` },
];

/** Nothing of glass: to its cone faster and hotter, or slower with a hold. */
const EMPTY_COSTS = {
  cooler: 'Its inside comes as far as its outside; the last stretch takes twice as long.',
  hotter: 'Shorter; a thick wall comes out harder outside than inside.',
} as const;
const EMPTY_TELLS = [
  { what: 'in all', words: (figure: string) => `${figure} in all` },
  { what: 'done', words: (figure: string) => figure },
  { what: 'through it', words: (figure: string) => `${figure} through it at most` },
];

export function SchoolPanel({ firing, unit, working, onTake }: SchoolPanelProps) {
  const { length } = useUnits();
  if (emptyFiringOf(firing)) {
    return (
      <View role="list">
        <Words size="label" tone="muted">{`In use: ${HEATS[firing.school.heat].toLowerCase()}. Every row is calculated for this wall and kiln.`}</Words>
        {(['cooler', 'hotter'] as const).map((heat) => (
          <ComposedRow
            key={heat}
            kind="school"
            id={heat}
            name={HEATS[heat]}
            about={EMPTY_COSTS[heat]}
            firing={{ ...firing, school: { ...firing.school, heat } }}
            taken={firing.school.heat === heat}
            tells={EMPTY_TELLS}
            {...{ unit, working }}
            onTake={() => onTake({ ...firing.school, heat })}
          />
        ))}
      </View>
    );
  }
  const otherGrains = firing.school.grains === 'held' ? 'straight' : 'held';
  return (
    <View role="list">
      <Words size="label" tone="muted">
        {`In use: ${HEATS[firing.school.heat].toLowerCase()}, ${firing.school.soak === 'auto' ? `soak by thickness, low from ${text(formatLength(firing.limits.thick_m, length))}` : SOAKS[firing.school.soak]}${firing.school.grains === 'held' ? ', held while the grains sink' : ''}. Every row is calculated for this body and kiln.`}
      </Words>
      {SCHOOLS.map((school) => (
        <ComposedRow
          key={`${school.heat} ${school.soak}`}
          kind="school"
          id={`${school.heat}-${school.soak}`}
          name={`${HEATS[school.heat]}, ${SOAKS[school.soak]}`}
          about={COSTS[school.heat]}
          firing={{ ...firing, school: { ...firing.school, ...school } }}
          taken={firing.school.heat === school.heat && firing.school.soak === school.soak}
          tells={TELLS}
          {...{ unit, working }}
          onTake={() => onTake({ ...firing.school, ...school })}
        />
      ))}
      {settlesGrains(firing) && (
        <ComposedRow
          kind="school"
          id={`grains-${otherGrains}`}
          name={GRAINS[otherGrains].name}
          about={GRAINS[otherGrains].about}
          firing={{ ...firing, school: { ...firing.school, grains: otherGrains } }}
          taken={false}
          tells={TELLS}
          {...{ unit, working }}
          onTake={() => onTake({ ...firing.school, grains: otherGrains })}
        />
      )}
    </View>
  );
}

/** What some hold frit in a mould for, and others climb straight through. */
const GRAINS = {
  held: {
    name: 'Held while the grains sink together',
    about: 'Air leaves between them before they seal, so less seed; longer, and longer where glass devitrifies.',
  },
  straight: { name: 'Straight up to its work', about: 'Shorter; seed has only the long hold to rise in.' },
} as const;
