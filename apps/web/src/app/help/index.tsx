import { HelpScreen } from '@/workbench';

export default function HelpPage() {
  return <HelpScreen />;
}
