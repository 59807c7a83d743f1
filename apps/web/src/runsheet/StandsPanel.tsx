/** One body on each set-up that it can lie on: bare, raised, on the floor, on board; each composed for this very body. */
import { footprintArea } from '@torvin/core/body';
import type { MadeFrom } from '@torvin/core/piece';
import { DIFFERENCE_NAMES, type FiringCase, SETUP_NAMES, type SetUpKind, setUpOf } from '@torvin/core/schedule';
import type { TemperatureUnit } from '@torvin/core/units';
import { View } from 'react-native';
import { Words } from '@/ui/Words';
import { ComposedRow } from './ComposedRow';
import { STANDS_PANEL } from './words';
import { WORDS } from '@/ui/said';

/** What flat work lies on; what shapes the glass is no choice. */
export const STANDS = ['bareShelf', 'raisedShelf', 'floorShelf', 'board'] as const satisfies readonly SetUpKind[];

export const isFlat = (kind: SetUpKind): boolean => STANDS.some((one) => one === kind);

const COSTS: Record<(typeof STANDS)[number], string> = {
  bareShelf: STANDS_PANEL.lowPostsSome,
  raisedShelf: STANDS_PANEL.highPostsUnderside,
  floorShelf: STANDS_PANEL.noHeatBelow,
  board: STANDS_PANEL.insulatedBelowShelf,
};

const TELLS = [
  { what: WORDS.inAll, words: (figure: string) => STANDS_PANEL.inAll(figure) },
  ...DIFFERENCE_NAMES.map((what) => ({ what, words: (figure: string) => WORDS.named(what, figure) })),
  { what: 'tension', words: (figure: string) => STANDS_PANEL.tensionWay(figure) },
  { what: STANDS_PANEL.stressLeft, words: (figure: string) => STANDS_PANEL.left(figure) },
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
        {STANDS_PANEL.inUse(SETUP_NAMES[setup.kind].toLowerCase(), release ? STANDS_PANEL.with(release.name) : setup.paper ? STANDS_PANEL.onFibrePaper : '')}
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
