export { PlanPrintPage as default } from '@/workbench';
