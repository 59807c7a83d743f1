export { ShelvesScreen as default } from '@/workbench';
