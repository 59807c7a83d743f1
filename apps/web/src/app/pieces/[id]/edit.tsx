export { EditPiecePage as default } from '@/workbench';
