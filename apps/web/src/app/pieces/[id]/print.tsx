export { PrintPage as default } from '@/workbench';
