export { PlanFiringPage as default } from '@/workbench';
