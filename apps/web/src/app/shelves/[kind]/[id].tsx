export { ShelfRecordPage as default } from '@/workbench';
