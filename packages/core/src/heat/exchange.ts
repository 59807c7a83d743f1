/** Exchange of heat between a face of the stack and the kiln. */
import { KELVIN_AT_0_C, STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';

export type Face = { kind: 'insulated' } | { kind: 'open'; emissivity: number; convection_W_m2K: number };

/** Of two faces with an emissivity of 0.9 that see each other. */
export const SEEN = 1 / (2 / 0.9 - 1);

/** A face that sees the kiln through a thin slab: both exchanges one after the other, what the slab stores left out. */
export const shaded = (face: Face): Face =>
  face.kind === 'insulated' ? face : { kind: 'open', emissivity: 1 / (1 / SEEN + 1 / Math.max(face.emissivity, 1e-6)), convection_W_m2K: 0 };

/**
 * Heat transfer coefficient h, W/(m²K), such that the flux is h·(Tkiln − Tface). The radiant part is exact for
 * grey exchange with an enclosure: εσ(Tf² + Tk²)(Tf + Tk).
 */
export function exchange(face: Face, face_C: number, kiln_C: number): number {
  if (face.kind === 'insulated') return 0;
  const a = face_C + KELVIN_AT_0_C;
  const b = kiln_C + KELVIN_AT_0_C;
  return face.emissivity * STEFAN_BOLTZMANN_W_m2K4 * (a * a + b * b) * (a + b) + face.convection_W_m2K;
}
