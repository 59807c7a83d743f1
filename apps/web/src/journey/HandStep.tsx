/** A step that hands do: what it is, what it takes, where it stands in the journey, and whether it is done. */
import { RECIPES } from '@torvin/core/look';
import {
  type AfterStep,
  type BenchStep,
  benchKind,
  type JourneyStep,
  type LayStep,
  changeStep,
  firingsOf,
  massNow,
  namedGlasses,
  TAKEN_NAMES,
  tellDone,
} from '@torvin/core/piece';
import { formatMass } from '@torvin/core/units';
import type { Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Caution } from '@/ui/Caution';
import { FigureBlock } from '@/ui/FigureBlock';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { HandFields } from './HandFields';
import { StepMoves } from './StepMoves';
import { StepTold } from './StepTold';
import type { Layup } from '@/layup/useLayup';
import { HAND_STEP } from './words';

export interface HandStepProps {
  layup: Layup;
  pieceId: string;
  shelves: Shelves;
  after: AfterStep & { step: LayStep | BenchStep };
  isDone: boolean;
}

export function HandStep({ layup, pieceId, shelves, after, isDone }: HandStepProps) {
  const units = useUnits();
  const { doc } = layup;
  const { step, problem, taken } = after;
  const change = (next: JourneyStep, what: string): void => layup.edit(changeStep(doc, next), `${what} ${step.id}`);
  const caution = step.kind === 'lay' ? undefined : benchKind(step).caution;
  const mass = massNow(after.body, namedGlasses(shelves));
  return (
    <View style={{ gap: space.small }}>
      {problem && (
        <Notice tone="warn" testID="step-problem">
          {problem.message}
        </Notice>
      )}
      <HandFields step={step} shelves={shelves} pieceId={pieceId} change={change} />
      {taken.length > 0 && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.large }}>
          {taken.map(({ as, mass_kg }) => (
            <FigureBlock key={as} label={TAKEN_NAMES[as]} value={formatMass(mass_kg, units.mass)} testID={`taken-${as}`} />
          ))}
          <FigureBlock label={HAND_STEP.massLeft} value={formatMass(mass, units.mass)} testID="mass-left" />
        </View>
      )}
      {caution && (
        <Caution about={step.kind} starts>
          {caution}
        </Caution>
      )}
      <Tick
        on={isDone}
        title={isDone && step.doneAt === undefined ? HAND_STEP.doneSinceWhat : HAND_STEP.done}
        testID="step-done"
        onPress={() => layup.edit(tellDone(doc, step.id, step.doneAt === undefined ? Date.now() : null))}
      />
      {step.doneAt !== undefined && step.kind !== 'wait' && <StepTold layup={layup} step={step} doneAt={step.doneAt} takes={taken.length > 0} />}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <StepMoves layup={layup} step={step} />
      </View>
      {step.kind === 'clean' && step.off === 'scale' && firingsOf(doc).some(({ look }) => RECIPES[look].group === 'thick') && (
        <Words size="label" tone="muted">
          {HAND_STEP.scaleLeftFalls}
        </Words>
      )}
    </View>
  );
}
