export { PiecesLayout as default } from '@/workbench';
