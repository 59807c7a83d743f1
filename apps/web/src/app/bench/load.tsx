export { LoadPage as default } from '@/workbench';
