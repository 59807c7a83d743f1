import { useLocalSearchParams } from 'expo-router';
import { PrintScreen } from '@/files/PrintScreen';
import { useStepPage } from '@/planner/useStepPage';
import { WORDS } from '@/ui/said';

export function PrintPage() {
  const { started } = useLocalSearchParams<{ started?: string }>();
  const page = useStepPage(WORDS.print);
  return page.ready ? <PrintScreen {...page} start={new Date(Number(started) || Date.now())} /> : page.shown;
}
