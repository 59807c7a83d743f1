/** What of this room is used outside of the core. */
export { type HollowForm, lobedRadius, type Measured, openingOf, type Plan, PLANS } from './surface';
export { weighedWords } from './weighed';
export {
  FORM_MATERIALS,
  FORM_MATERIAL_NAMES,
  type FormMaterial,
  type FormMaterialName,
  formPace,
  materialOf,
  ofOwnMaterial,
  type StudioMaterial,
} from './materials';
export { leftToUse, leftWords } from './usedOnce';
export {
  BOTTOMS,
  type Bottom,
  FORM_USES,
  type FormShape,
  type FormUse,
  alongOf,
  depthOf,
  formMass,
  formProblem,
  insideOf,
  outlineIn,
  plateOf,
  roomOfForm,
} from './shape';
export type { SectionPoint } from './surface';
export { type FormSection, type View as FormView, formSection } from './section';
