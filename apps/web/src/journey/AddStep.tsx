/** What comes next in a journey: a firing, or one of the steps that hands do, as it is usual. */
import { sidesOf } from '@torvin/core/body';
import { type BenchStep, HAND_NAMES, type JourneyStep, addStep, type HandKind } from '@torvin/core/piece';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import type { Layup } from '@/layup/useLayup';

export interface AddStepProps {
  layup: Layup;
  /** Index in the journey where it comes. */
  place: number;
  /** The glass that a fill is usually of. */
  glassId: string;
  onAdded(id: string): void;
  onFire(): void;
}

const KINDS: readonly { kind: HandKind; title: string }[] = [
  { kind: 'lay', title: HAND_NAMES.lay },
  ...(['turn', 'cut', 'grind', 'blast', 'polish', 'drill', 'clean', 'fill', 'look', 'wait', 'join'] as const).map((kind) => ({
    kind,
    title: HAND_NAMES[kind],
  })),
];

const HOUR_S = 3600;

/** As such a step usually is; its figures are changed where it stands. */
function usualStep(kind: HandKind, { layup, glassId }: Pick<AddStepProps, 'layup' | 'glassId'>): JourneyStep {
  const id = uuid();
  const usual: { [K in BenchStep['kind']]: Extract<BenchStep, { kind: K }> } = {
    turn: { id, kind: 'turn' },
    cut: {
      id,
      kind: 'cut',
      kerf_m: 0.001,
      cut: { to: 'strips', strip_m: Math.round(sidesOf(layup.doc.footprint)[0] * 100) / 1000 || 0.01, stand: 'flat' },
    },
    grind: { id, kind: 'grind', at: 'rim', depth_m: 0.002 },
    blast: { id, kind: 'blast', face: 'up', depth_m: 0.001, cover: 0.5 },
    polish: { id, kind: 'polish', at: 'rim', depth_m: 0.0001 },
    drill: { id, kind: 'drill', hole_m: 0.006, count: 1 },
    clean: { id, kind: 'clean', off: 'primer', soak_s: HOUR_S },
    fill: { id, kind: 'fill', glassId, mass_kg: 0.001, spot_m: 0.008 },
    look: { id, kind: 'look', with: 'eye' },
    wait: { id, kind: 'wait', for_s: 12 * HOUR_S },
    join: { id, kind: 'join', by: 'glue', cure_s: 24 * HOUR_S },
  };
  return kind === 'lay' ? { id, kind, side: 'above', layers: [] } : usual[kind];
}

export function AddStep(props: AddStepProps) {
  const { layup, place, onAdded, onFire } = props;
  return (
    <View style={{ gap: space.hair, paddingVertical: space.small }} testID="add-kinds">
      <Words size="label" tone="muted">
        {place < layup.doc.journey.length ? `After step ${place} comes` : 'Next comes'}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title="Firing" testID="add-fire" onPress={onFire} />
        {KINDS.map(({ kind, title }) => (
          <Action
            key={kind}
            kind="second"
            title={title}
            testID={`add-step-${kind}`}
            onPress={() => {
              const step = usualStep(kind, props);
              layup.edit(addStep(layup.doc, step, place));
              onAdded(step.id);
            }}
          />
        ))}
      </View>
    </View>
  );
}
