/**
 * The colour between crossed polarisers of a retardation Γ: white light of equal energy passes as sin²(πΓ/λ) at each
 * wavelength λ, is weighted by the eye's colour-matching functions (piecewise Gaussian fits to the 1931 observer: Wyman,
 * Sloan and Shirley 2013, J. Comput. Graph. Tech. 2(2)) and shown in sRGB (IEC 61966-2-1). Dispersion of the stress-
 * optical constant is left out; polarisers and lamps have tints of their own. A tint plate adds its own retardation and
 * shows the sign of the stress, which dark field alone does not.
 */
const FROM_NM = 400;
const TO_NM = 700;
const STEP_NM = 5;
/** A full-wave plate of first-order magenta, nm: small retardations go blue one way and yellow the other. */
export const TINT_PLATE_NM = 550;

const lobe = (nm: number, centre: number, below: number, above: number): number => Math.exp(-0.5 * ((nm - centre) * (nm < centre ? below : above)) ** 2);

const redMatch = (nm: number): number =>
  0.362 * lobe(nm, 442, 0.0624, 0.0374) + 1.056 * lobe(nm, 599.8, 0.0264, 0.0323) - 0.065 * lobe(nm, 501.1, 0.049, 0.0382);
const greenMatch = (nm: number): number => 0.821 * lobe(nm, 568.8, 0.0213, 0.0247) + 0.286 * lobe(nm, 530.9, 0.0613, 0.0322);
const blueMatch = (nm: number): number => 1.217 * lobe(nm, 437, 0.0845, 0.0278) + 0.681 * lobe(nm, 459, 0.0385, 0.0725);

type Triple = [number, number, number];

const WAVES: { nm: number; match: Triple }[] = [];
for (let nm = FROM_NM; nm <= TO_NM; nm += STEP_NM) WAVES.push({ nm, match: [redMatch(nm), greenMatch(nm), blueMatch(nm)] });
const WHITE: Triple = WAVES.reduce<Triple>(([x, y, z], { match }) => [x + match[0], y + match[1], z + match[2]], [0, 0, 0]);

/** Linear sRGB of XYZ in which equal energy has been scaled to the white of sRGB (D65). */
function linearRgb([x, y, z]: Triple): Triple {
  const [dx, dy, dz] = [x * 0.95047, y, z * 1.08883];
  return [3.2406 * dx - 1.5372 * dy - 0.4986 * dz, -0.9689 * dx + 1.8758 * dy + 0.0415 * dz, 0.0557 * dx - 0.204 * dy + 1.057 * dz];
}

const encoded = (linear: number): number => {
  const clipped = Math.min(Math.max(linear, 0), 1);
  return clipped <= 0.0031308 ? 12.92 * clipped : 1.055 * clipped ** (1 / 2.4) - 0.055;
};

/** Share of light let through at each of red, green and blue, 0 to 1, encoded for a screen. */
export function interferenceRgb(retardation_nm: number): Triple {
  const seen: Triple = [0, 0, 0];
  for (const { nm, match } of WAVES) {
    const passed = Math.sin((Math.PI * retardation_nm) / nm) ** 2;
    for (let i = 0; i < 3; i += 1) seen[i] += (passed * match[i]) / WHITE[i];
  }
  return linearRgb(seen).map(encoded) as Triple;
}

/** As #rrggbb. */
export const interferenceColour = (retardation_nm: number): string =>
  `#${interferenceRgb(retardation_nm)
    .map((one) =>
      Math.round(one * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
