import { RehearsalScreen } from '@/kiln/RehearsalScreen';
import { useStepPage } from '@/planner/useStepPage';
import { REHEARSAL_PAGE } from './words';

export function RehearsalPage() {
  const page = useStepPage(REHEARSAL_PAGE.rehearsal);
  return page.ready ? <RehearsalScreen {...page} /> : page.shown;
}
