export { ShelvesLayout as default } from '@/workbench';
