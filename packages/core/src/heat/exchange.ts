/** Exchange of heat between a face of the stack and the kiln. */
import { KELVIN_AT_0_C, STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';

export type Face = { kind: 'insulated' } | { kind: 'open'; emissivity: number; convection_W_m2K: number };

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
