export { LabelPage as default } from '@/workbench';
