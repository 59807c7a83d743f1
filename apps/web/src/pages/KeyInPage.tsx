import { KeyInScreen } from '@/keyin/KeyInScreen';
import { useStepPage } from '@/planner/useStepPage';

export function KeyInPage() {
  const page = useStepPage('Key in');
  return page.ready ? <KeyInScreen {...page} /> : page.shown;
}
