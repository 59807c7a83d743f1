export { SeriesPage as default } from '@/workbench';
