import { TINT_PLATE_NM, interferenceColour, interferenceRgb } from './interference';

/** Luminance from encoded sRGB, roughly. */
const light = (nm: number): number => interferenceRgb(nm).reduce((sum, one) => sum + one ** 2.2, 0) / 3;

describe('colours between crossed polarisers', () => {
  test('no retardation is black, and it is the same with either sign', () => {
    expect(interferenceColour(0)).toBe('#000000');
    expect(interferenceColour(-180)).toBe(interferenceColour(180));
  });

  test('half a wave of the middle of the spectrum is close to white, and the brightest up to one wave', () => {
    const half = interferenceRgb(255);
    expect(Math.min(...half)).toBeGreaterThan(0.85);
    const brightest = Array.from({ length: 56 }, (_, i) => i * 10).reduce((best, nm) => (light(nm) > light(best) ? nm : best), 0);
    expect(brightest).toBeGreaterThan(230);
    expect(brightest).toBeLessThan(320);
  });

  test('a full wave of green leaves magenta, the sensitive tint: red and blue, hardly any green', () => {
    const [red, green, blue] = interferenceRgb(TINT_PLATE_NM);
    expect(green).toBeLessThan(0.25);
    expect(red).toBeGreaterThan(green + 0.2);
    expect(blue).toBeGreaterThan(green + 0.2);
  });

  test('on the tint plate a little more goes blue and a little less goes yellow-red', () => {
    const [redUp, , blueUp] = interferenceRgb(TINT_PLATE_NM + 60);
    const [redDown, , blueDown] = interferenceRgb(TINT_PLATE_NM - 60);
    expect(blueUp).toBeGreaterThan(redUp);
    expect(redDown).toBeGreaterThan(blueDown);
  });

  test('far up the colours wash out toward grey', () => {
    const spread = (nm: number): number => Math.max(...interferenceRgb(nm)) - Math.min(...interferenceRgb(nm));
    expect(spread(6000)).toBeLessThan(spread(900) / 2);
  });
});
