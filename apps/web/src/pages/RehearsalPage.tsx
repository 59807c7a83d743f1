import { RehearsalScreen } from '@/kiln/RehearsalScreen';
import { useStepPage } from '@/planner/useStepPage';

export function RehearsalPage() {
  const page = useStepPage('Rehearsal');
  return page.ready ? <RehearsalScreen {...page} /> : page.shown;
}
