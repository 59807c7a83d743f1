export { AgainPage as default } from '@/workbench';
