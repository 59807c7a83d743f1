export { PracticePage as default } from '@/workbench';
