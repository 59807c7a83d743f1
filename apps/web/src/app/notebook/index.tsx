export { NotebookPage as default } from '@/workbench';
