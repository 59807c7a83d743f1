import { Redirect } from 'expo-router';

/** Where the fault report stood before. */
export default function OldDiagnosticsPage() {
  return <Redirect href="/settings/diagnostics" />;
}
