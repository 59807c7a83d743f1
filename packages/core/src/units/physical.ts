/** Constants of nature, and the room that everything begins and ends in. */

/** 0 °C, K. */
export const KELVIN_AT_0_C = 273.15;
/** σ, W/(m²K⁴). */
export const STEFAN_BOLTZMANN_W_m2K4 = 5.670374419e-8;
/** By definition (CGPM 1901), m/s². */
export const STANDARD_GRAVITY_m_s2 = 9.80665;
/** Of water at 20 °C, kg/m³. */
export const WATER_kg_m3 = 998.2;
/** What glass is at before and after, °C, where nothing else is said. */
export const ROOM_C = 20;
