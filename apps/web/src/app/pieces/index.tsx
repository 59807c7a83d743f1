export { PiecesPage as default } from '@/workbench';
