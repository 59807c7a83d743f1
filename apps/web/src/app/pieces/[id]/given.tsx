export { GivenPage as default } from '@/workbench';
