import { PiecePage } from '@/workbench';

export default function Page() {
  return <PiecePage />;
}
