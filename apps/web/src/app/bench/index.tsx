import { BenchScreen } from '@/bench/BenchScreen';

export default function BenchPage() {
  return <BenchScreen />;
}
