export { NextPage as default } from '@/workbench';
