export { RecordPage as default } from '@/workbench';
