/** Where practitioners differ: each school composed for this very body, so that what it costs can be read off. */
import { DIFFERENCE_NAMES, type FiringCase, type School, settlesGrains, emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { Words } from '@/ui/Words';
import { ComposedRow } from './ComposedRow';
import { SCHOOL_PANEL } from './words';
import { WORDS } from '@/ui/said';

export interface SchoolPanelProps {
  firing: FiringCase;
  unit: TemperatureUnit;
  working: boolean;
  onTake(school: School): void;
}

const HEATS = { cooler: SCHOOL_PANEL.coolerAndLonger, hotter: SCHOOL_PANEL.hotterAndShorter } as const;
const SOAKS = { annealing: SCHOOL_PANEL.soakAnnealingPoint, lower: SCHOOL_PANEL.soakLowNear } as const;
const COSTS = {
  cooler: SCHOOL_PANEL.crisperEdgesEasier,
  hotter: SCHOOL_PANEL.lessTimeWhere,
} as const;

const SCHOOLS = (['cooler', 'hotter'] as const).flatMap((heat) => (['annealing', 'lower'] as const).map((soak) => ({ heat, soak })));

const TELLS = [
  { what: WORDS.inAll, words: (figure: string) => SCHOOL_PANEL.inAll(figure) },
  { what: 'devit', words: (figure: string) => SCHOOL_PANEL.devit(figure) },
  { what: SCHOOL_PANEL.stressLeft, words: (figure: string) => SCHOOL_PANEL.left(figure) },
  ...DIFFERENCE_NAMES.map((what) => ({ what, words: (figure: string) => WORDS.named(what, figure) })),
];

/** Nothing of glass: to its cone faster and hotter, or slower with a hold. */
const EMPTY_COSTS = {
  cooler: SCHOOL_PANEL.insideComesFar,
  hotter: SCHOOL_PANEL.shorterThickWall,
} as const;
const EMPTY_TELLS = [
  { what: WORDS.inAll, words: (figure: string) => SCHOOL_PANEL.inAll(figure) },
  { what: 'done', words: (figure: string) => figure },
  { what: SCHOOL_PANEL.throughIt, words: (figure: string) => SCHOOL_PANEL.throughMost(figure) },
];

export function SchoolPanel({ firing, unit, working, onTake }: SchoolPanelProps) {
  const { length } = useUnits();
  if (emptyFiringOf(firing)) {
    return (
      <View role="list">
        <Words size="label" tone="muted">
          {SCHOOL_PANEL.inUse(HEATS[firing.school.heat].toLowerCase())}
        </Words>
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
        {SCHOOL_PANEL.inUseForWall(
          HEATS[firing.school.heat].toLowerCase(),
          firing.school.soak === 'auto' ? SCHOOL_PANEL.soakThicknessLow(text(formatLength(firing.limits.thick_m, length))) : SOAKS[firing.school.soak],
          firing.school.grains === 'held',
        )}
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
    name: SCHOOL_PANEL.heldWhileGrains,
    about: SCHOOL_PANEL.airLeavesBetween,
  },
  straight: { name: SCHOOL_PANEL.straightUpWork, about: SCHOOL_PANEL.shorterSeedOnly },
} as const;
