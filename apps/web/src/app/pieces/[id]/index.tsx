export { PiecePage as default } from '@/workbench';
