import { DiagnosticsScreen } from '@/settings/DiagnosticsScreen';

export default function DiagnosticsPage() {
  return <DiagnosticsScreen />;
}
