export { NewPiecePage as default } from '@/workbench';
