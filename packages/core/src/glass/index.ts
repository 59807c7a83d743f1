/** What of this room is used outside of the core. */
export { diffusivity, type GlassConstants, meltExpansion, type StateName } from './constants';
export { fluidity, LOG_VISCOSITY, logViscosity, temperatureAt, viscosityOf } from './viscosity';
export { type GlassState, glassStates, stateAt } from './states';
export { TYPICAL_FAMILIES } from './families';
