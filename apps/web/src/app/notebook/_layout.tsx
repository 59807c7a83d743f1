export { NotebookLayout as default } from '@/workbench';
