import { SettingsScreen } from '@/settings/SettingsScreen';

export default function SettingsPage() {
  return <SettingsScreen />;
}
