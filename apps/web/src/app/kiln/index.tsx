export { KilnPage as default } from '@/workbench';
