/**
 * Radiation through a slab of gray glass by discrete ordinates: along each of many directions it is followed from face to face, taking up what
 * the glass gives off and losing what that takes in. Nothing is shared with the engine. The slab's temperature runs straight from face to face.
 */
const STEFAN_BOLTZMANN = 5.670374419e-8;

export interface GraySlab {
  depth_m: number;
  absorption_perM: number;
  /** Of both faces, seen from within; what they do not give off they throw back to every side. */
  emissivity: number;
  refraction: number;
  kelvin: number;
}

/** Points and weights of Gauss and Legendre on 0 to 1, by Newton from Tricomi's guess. */
function directions(count: number): { mu: number; weight: number }[] {
  return Array.from({ length: count }, (_, i) => {
    let x = Math.cos((Math.PI * (i + 0.75)) / (count + 0.5));
    let slope = 1;
    for (let round = 0; round < 50; round += 1) {
      let [last, now] = [1, x];
      for (let n = 2; n <= count; n += 1) [last, now] = [now, ((2 * n - 1) * x * now - (n - 1) * last) / n];
      slope = (count * (x * now - last)) / (x * x - 1);
      x -= now / slope;
    }
    return { mu: (1 + x) / 2, weight: 1 / ((1 - x * x) * slope * slope) };
  });
}

const DIRECTIONS = directions(24);
const CELLS = 400;
const BOUNCES = 400;

/** What it adds to the conductivity: the flux through the slab, its mean over the depth, for a slope of 1 K/m, W/(m·K). */
export function conductedByOrdinates({ depth_m, absorption_perM, emissivity, refraction, kelvin }: GraySlab): number {
  const dz = depth_m / CELLS;
  // Measured from the colder face, in K; the blackbody's intensity for each of them is put in at the end.
  const given = Array.from({ length: CELLS }, (_, i) => (i + 0.5) * dz);
  /** From one face to the other: what arrives, and what passes each cell's middle. */
  const along = (from: number, cells: readonly number[], mu: number): { arrives: number; passes: number[] } => {
    const half = Math.exp((-absorption_perM * dz) / (2 * mu));
    let intensity = from;
    const passes = cells.map((own) => {
      const middle = own + (intensity - own) * half;
      intensity = own + (middle - own) * half;
      return middle;
    });
    return { arrives: intensity, passes };
  };
  const reversed = given.toReversed();
  const onto = (from: number, cells: readonly number[]): number =>
    DIRECTIONS.reduce((sum, { mu, weight }) => sum + 2 * mu * weight * along(from, cells, mu).arrives, 0);
  let [cold, hot] = [0, depth_m];
  for (let i = 0; i < BOUNCES; i += 1) {
    const [atCold, atHot] = [onto(hot, reversed), onto(cold, given)];
    const next = [(1 - emissivity) * atCold, emissivity * depth_m + (1 - emissivity) * atHot];
    const moved = Math.abs(next[0] - cold) + Math.abs(next[1] - hot);
    [cold, hot] = next;
    if (moved < 1e-10 * depth_m) break;
  }
  let flux = 0;
  for (const { mu, weight } of DIRECTIONS) {
    const [up, down] = [along(cold, given, mu).passes, along(hot, reversed, mu).passes];
    flux += 2 * Math.PI * mu * weight * up.reduce((sum, one, i) => sum + (down[CELLS - 1 - i] - one), 0);
  }
  const perKelvin = (4 * refraction ** 2 * STEFAN_BOLTZMANN * kelvin ** 3) / Math.PI;
  return (perKelvin * flux) / CELLS;
}
