import { StartScreen } from '@/workbench';

export default function StartPage() {
  return <StartScreen />;
}
