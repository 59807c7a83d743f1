export { ShelvesPage as default } from '@/workbench';
