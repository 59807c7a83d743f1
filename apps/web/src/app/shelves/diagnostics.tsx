import { DiagnosticsScreen } from '@/shelves/DiagnosticsScreen';

export default function DiagnosticsPage() {
  return <DiagnosticsScreen />;
}
