export { FiringPage as default } from '@/workbench';
