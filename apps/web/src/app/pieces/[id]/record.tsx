export { RecordFiringPage as default } from '@/workbench';
