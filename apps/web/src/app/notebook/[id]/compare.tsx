export { ComparePage as default } from '@/workbench';
