/** A colour in words, for those who do not see it and those who do not read hexadecimal digits: 'pale blue', 'deep green', 'grey'. */
const HUES: readonly [below: number, name: string][] = [
  [15, 'red'],
  [40, 'orange'],
  [65, 'yellow'],
  [90, 'yellow-green'],
  [160, 'green'],
  [190, 'blue-green'],
  [255, 'blue'],
  [290, 'violet'],
  [340, 'pink'],
  [361, 'red'],
];

export const isColour = (written: string): boolean => /^#[0-9a-f]{6}$/i.test(written);

export function colourWords(hex: string): string {
  if (!isColour(hex)) return '';
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  const [most, least] = [Math.max(r, g, b), Math.min(r, g, b)];
  const [lightness, chroma] = [(most + least) / 2, most - least];
  const depth = lightness > 0.72 ? 'pale ' : lightness < 0.32 ? 'deep ' : '';
  if (lightness > 0.95) return 'white';
  if (lightness < 0.08) return 'black';
  if (chroma < 0.09) return `${depth}grey`;
  const sector = most === r ? ((g - b) / chroma + 6) % 6 : most === g ? (b - r) / chroma + 2 : (r - g) / chroma + 4;
  const hue = sector * 60;
  const [, name] = HUES.find(([below]) => hue < below) ?? HUES[0];
  return `${depth}${name === 'orange' && lightness < 0.4 ? 'brown' : name}`.replace('deep brown', 'brown');
}
