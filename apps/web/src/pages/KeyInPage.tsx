import { KeyInScreen } from '@/keyin/KeyInScreen';
import { useStepPage } from '@/planner/useStepPage';
import { WORDS } from '@/ui/said';

export function KeyInPage() {
  const page = useStepPage(WORDS.keyIn);
  return page.ready ? <KeyInScreen {...page} /> : page.shown;
}
