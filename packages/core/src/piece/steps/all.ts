/** Every step that hands do between firings, by its kind, in the order in which they are offered. */
import { suggested } from '../../units/suggested';
import { type BlastStep, blast } from './blast';
import { type CleanStep, clean } from './clean';
import { type CutStep, cut } from './cut';
import { type DrillStep, drill } from './drill';
import { type FillStep, fill } from './fill';
import { type GrindStep, grind } from './grind';
import { type JoinStep, join } from './join';
import { type LookStep, look } from './look';
import { type PolishStep, polish } from './polish';
import type { About, BenchKind } from './step';
import { type TurnStep, turn } from './turn';
import { type WaitStep, wait } from './wait';

export type BenchStep = TurnStep | CutStep | GrindStep | BlastStep | PolishStep | DrillStep | CleanStep | FillStep | LookStep | WaitStep | JoinStep;

type Kinds = { [K in BenchStep['kind']]: BenchKind<Extract<BenchStep, { kind: K }>> };
export const BENCH_STEPS: Kinds = { turn, cut, grind, blast, polish, drill, clean, fill, look, wait, join };
export const BENCH_KINDS = Object.keys(BENCH_STEPS) as [BenchStep['kind'], ...BenchStep['kind'][]];

/** The declaration of a step. Which kind it is only the compiler does not see. */
export const benchKind = <S extends BenchStep>({ kind }: Pick<S, 'kind'>): BenchKind<S> => BENCH_STEPS[kind as BenchStep['kind']] as BenchKind<S>;

/** One as it usually is, with an id of its own. */
export function usualStep(kind: BenchStep['kind'], id: string, about: About): BenchStep {
  const step = { id, kind, ...BENCH_STEPS[kind].usual(about) } as BenchStep;
  const lengths = benchKind(step).fields.filter(({ as }) => as === 'length');
  const round = lengths.map(({ key }) => [key, suggested(Number(step[key as keyof BenchStep]), about.length)]);
  return { ...step, ...Object.fromEntries(round) };
}
