import { BenchScreen } from '@/bench/BenchScreen';
import { LearnedOf, PieceMark, RunningSection } from '@/workbench';

export default function BenchPage() {
  return <BenchScreen {...{ LearnedOf, PieceMark, RunningSection }} />;
}
