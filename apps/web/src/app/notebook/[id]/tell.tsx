export { TellPage as default } from '@/workbench';
