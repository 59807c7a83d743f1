export { RunPage as default } from '@/workbench';
