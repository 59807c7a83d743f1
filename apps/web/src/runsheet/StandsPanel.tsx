/** One body on each set-up that it can lie on: bare, raised, on the floor, on board; each composed for this very body. */
import { footprintArea } from '@torvin/core/body';
import type { MadeFrom } from '@torvin/core/piece';
import { type FiringCase, SETUP_NAMES, type SetUpKind, setUpOf } from '@torvin/core/schedule';
import type { TemperatureUnit } from '@torvin/core/units';
import { View } from 'react-native';
import { Words } from '@/ui/Words';
import { ComposedRow } from './ComposedRow';

/** What flat work lies on; what shapes the glass is no choice. */
export const STANDS = ['bareShelf', 'raisedShelf', 'floorShelf', 'board'] as const satisfies readonly SetUpKind[];

export const isFlat = (kind: SetUpKind): boolean => STANDS.some((one) => one === kind);

const COSTS: Record<(typeof STANDS)[number], string> = {
  bareShelf: 'Low posts: some heat comes from below. What most schedules are for.',
  raisedShelf: 'High posts: its underside sees the elements and cools freely. It must stand level.',
  floorShelf: 'No heat from below: the floor is warmed through the glass, and slow to cool.',
  board: 'Insulated from below: the shelf hardly draws on it; the board sheds fibres.',
};

const TELLS = [
  { what: 'in all', words: (figure: string) => `${figure} in all` },
  { what: 'core–surface', words: (figure: string) => `core–surface ${figure}` },
  { what: 'tension', words: (figure: string) => `tension on the way ${figure}` },
  { what: 'stress left', words: (figure: string) => `${figure} left` },
];

export interface StandsPanelProps {
  firing: FiringCase;
  setup: { kind: SetUpKind; paper: boolean };
  /** What of the studio's own is under the glass. */
  release: MadeFrom['release'];
  unit: TemperatureUnit;
  working: boolean;
  onTake(kind: SetUpKind): void;
}

export function StandsPanel({ firing, setup, release, unit, working, onTake }: StandsPanelProps) {
  const { shaping, wet, form } = firing.setup;
  const coat = release && { name: release.name, ...release.coat };
  return (
    <View role="list">
      <Words size="label" tone="muted">
        {`In use: ${SETUP_NAMES[setup.kind].toLowerCase()}. Every row is calculated for this body and kiln${release ? `, with ${release.name}` : setup.paper ? ', on fibre paper' : ''}.`}
      </Words>
      {STANDS.map((kind) => (
        <ComposedRow
          key={kind}
          kind="stands"
          id={kind}
          name={SETUP_NAMES[kind]}
          about={COSTS[kind]}
          firing={{
            ...firing,
            setup: setUpOf({
              ...setup,
              kind,
              ...(wet ? { wet } : {}),
              ...(shaping ? { shaping } : {}),
              ...(coat ? { coat } : {}),
              ...(form ? { within: { form, glass_m2: footprintArea(firing.body.footprint) } } : {}),
            }),
          }}
          taken={kind === setup.kind}
          tells={TELLS}
          {...{ unit, working }}
          onTake={() => onTake(kind)}
        />
      ))}
    </View>
  );
}
