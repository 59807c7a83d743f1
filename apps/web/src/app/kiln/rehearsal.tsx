export { RehearsalPage as default } from '@/workbench';
