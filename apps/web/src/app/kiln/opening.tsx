export { OpeningPage as default } from '@/workbench';
