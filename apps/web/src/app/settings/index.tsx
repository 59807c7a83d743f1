export { SettingsScreen as default } from '@/workbench';
