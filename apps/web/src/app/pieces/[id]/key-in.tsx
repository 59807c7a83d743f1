export { KeyInPage as default } from '@/workbench';
