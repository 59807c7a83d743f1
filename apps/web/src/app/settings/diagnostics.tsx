export { DiagnosticsScreen as default } from '@/workbench';
