import { RECIPES } from '../look/recipes/all';
import { LOOKS } from '../look/names';
import type { Flaw } from '../look/flaws';
import type { PurposefulSegment, Role } from '../kiln/segment';
import { valueOf } from '../problem';
import { evaluate } from '../schedule/check';
import { compose } from '../schedule/compose';
import type { FiringCase } from '../schedule/firingCase';
import { openingTemperature } from '../schedule/opening';
import { sheetsOf } from '../testCases';
import { METRIC } from '../units/convert';
import { CAUSE_NAMES, CAUSES, changeFor } from './causes';
import { causesOf } from './causesOf';
import type { Fault, Known } from './facts';
import { LIKELY } from './likely';

const fuse: FiringCase = sheetsOf(2, 0.003);
const good = valueOf(compose(fuse)).segments;
/** The schedule with one segment otherwise. */
const ranWith = (role: Role, change: Partial<PurposefulSegment>): PurposefulSegment[] => good.map((one) => (one.role === role ? { ...one, ...change } : one));
const causes = (fault: Fault, segments = good, { firing = fuse, known = {} as Known } = {}) =>
  causesOf({ firing, segments, evaluation: evaluate(firing, segments), fault, known, units: METRIC });
const shareOf = (all: ReturnType<typeof causes>, cause: string): number => all.find((one) => one.cause === cause)?.share ?? 0;

describe('causes of a fault', () => {
  test('a squeeze that was left out comes first for bubbles, with its figure; one that was done speaks against itself', () => {
    const short = causes({ flaw: 'bubble', size: 'large' }, ranWith('squeeze', { hold_s: 0, rate_C_per_h: null }));
    expect(short[0]).toMatchObject({ cause: 'squeezeShort', for: [expect.stringMatching(/^Squeeze \d+ % of its need\.$/), expect.stringMatching(/large/)] });
    const done = causes({ flaw: 'bubble', size: 'large' }, ranWith('squeeze', { hold_s: 3 * 3600 }));
    expect(shareOf(done, 'squeezeShort')).toBeLessThan(shareOf(short, 'squeezeShort') / 3);
    expect(done.find(({ cause }) => cause === 'squeezeShort')).toMatchObject({
      for: [expect.stringMatching(/large/)],
      against: [expect.stringMatching(/^Squeeze \d{3} %/)],
    });
  });

  test('stress that was read counts before stress that was calculated', () => {
    const crack: Fault = { flaw: 'cracked', edge: 'sharp' };
    const calculated = shareOf(causes(crack), 'stressLeft');
    const much = causes(crack, good, { known: { tensionRead_Pa: 2.5e6 } });
    expect(shareOf(much, 'stressLeft')).toBeGreaterThan(2 * calculated);
    expect(much.find(({ cause }) => cause === 'stressLeft')?.for[0]).toBe('Read between polarisers: 2.5 MPa of tension, where 1.0 MPa may stay.');
    expect(shareOf(causes(crack, good, { known: { tensionRead_Pa: 2e5 } }), 'stressLeft')).toBeLessThan(calculated);
  });

  test('small bubbles come from the glass, large ones near the middle from its shelf', () => {
    expect(causes({ flaw: 'bubble', size: 'small' })[0].cause).toBe('fingerprints');
    const [middle, anywhere] = [true, false].map((isMiddle) => causes({ flaw: 'bubble', size: 'large', middle: isMiddle }));
    expect(shareOf(middle, 'dishedShelf')).toBeGreaterThan(1.5 * shareOf(anywhere, 'dishedShelf'));
  });

  test('the edges of a crack tell the way up from the way down', () => {
    const fast = ranWith('warmUp', { rate_C_per_h: 1500 });
    expect(causes({ flaw: 'cracked', edge: 'rounded' }, fast)[0]).toMatchObject({
      cause: 'tooFastUp',
      for: [expect.stringMatching(/^Tension .* of 7\.0 MPa\.$/), expect.stringMatching(/rounded/)],
    });
    expect(causes({ flaw: 'cracked', edge: 'sharp' }, fast)[0].cause).not.toBe('tooFastUp');
    const cooled = causes({ flaw: 'cracked', edge: 'sharp' }, ranWith('firstCool', { rate_C_per_h: null }));
    expect(['tooFastDown', 'stressLeft']).toContain(cooled[0].cause);
    expect(cooled[0].for.length).toBeGreaterThan(0);
  });

  test('a kiln opened hot is held against where it may be opened', () => {
    const at_C = openingTemperature(fuse);
    expect(causes({ flaw: 'cracked', edge: 'sharp' }, good, { known: { opened_C: at_C + 110 } })[0]).toMatchObject({
      cause: 'openedEarly',
      for: [`Opened at ${Math.round(at_C + 110)} °C (open at ${Math.round(at_C)} °C or less).`, expect.anything()],
    });
    expect(shareOf(causes({ flaw: 'cracked', edge: 'sharp' }, good, { known: { opened_C: 30 } }), 'openedEarly')).toBeLessThan(0.1);
  });

  test('a crack along a join comes from glasses that do not fit, where they do not; one glass fits itself', () => {
    const [glass] = fuse.body.glasses;
    const unlike: FiringCase = {
      ...fuse,
      body: {
        ...fuse.body,
        glasses: [glass, { ...glass, expansion_perK: glass.expansion_perK + 1e-6 }],
        layers: fuse.body.layers.map((one, i) => ({ ...one, glass: i })),
      },
    };
    const [first] = causes({ flaw: 'cracked', edge: 'sharp', course: 'join' }, good, { firing: unlike });
    expect(first).toMatchObject({ cause: 'misfit', for: [expect.stringMatching(/pull with up to [\d.]+ MPa/), expect.anything(), expect.anything()] });
    expect(shareOf(causes({ flaw: 'cracked' }), 'misfit')).toBe(0);
  });

  test.each<[string, Flaw, PurposefulSegment[], Known, string]>([
    ['hours in the range', 'devitrified', ranWith('squeeze', { target_C: 720, hold_s: 12 * 3600 }), {}, 'tooLongInHaze'],
    ['an old coat', 'stuck', good, { coat: { firings: 9, most: 3 } }, 'wornRelease'],
    ['the hot side', 'unevenRim', good, { towardsHot: true }, 'hotSide'],
    ['grit', 'devitrified', good, { blasted: true }, 'blastResidue'],
    ['too hot', 'distorted', ranWith('work', { target_C: 880 }), {}, 'tooHot'],
  ])('%s', (_, flaw, segments, known, cause) => {
    expect(causes({ flaw }, segments, { known })[0]).toMatchObject({ cause, for: [expect.any(String)] });
  });

  test('thin glass draws in, and what is as thick as hot glass rests does not', () => {
    const thin = sheetsOf(1, 0.003);
    const segments = valueOf(compose(thin)).segments;
    expect(causes({ flaw: 'drawnIn' }, segments, { firing: thin })[0]).toMatchObject({
      cause: 'tooThin',
      for: [expect.stringMatching(/3 mm thick .* rests at 6\.\d mm/)],
    });
    expect(shareOf(causes({ flaw: 'drawnIn' }), 'tooThin')).toBeLessThan(0.5);
  });

  test('a mould that cracked was not annealed badly, nor is it of glasses that do not fit', () => {
    const bare: FiringCase = {
      ...fuse,
      look: 'bisque',
      body: { glasses: [], layers: [], footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.24 }, joined: true },
      setup: { ...fuse.setup, shaping: { kind: 'ware', of: 'clay', wall_m: 0.01, wide_m: 0.2, long_m: 0.24, cone: '06' } },
      kiln: { ...fuse.kiln, top_C: 1150, power_K_per_s: 0.28 },
    };
    const named = causes({ flaw: 'cracked', edge: 'sharp' }, valueOf(compose(bare)).segments, { firing: bare }).map(({ cause }) => cause);
    expect(named).toContain('tooFastDown');
    for (const cause of ['stressLeft', 'misfit', 'formerGripped']) expect(named).not.toContain(cause);
  });

  test('every flaw that a kind of firing can have has causes, in order; each is declared and says what to change', () => {
    const flaws = [...new Set(LOOKS.flatMap((look) => RECIPES[look].flaws as readonly Flaw[]))];
    expect(flaws.length).toBeGreaterThan(30);
    for (const flaw of flaws) {
      const all = causes({ flaw });
      expect(all.length).toBeGreaterThan(0);
      expect(all.reduce((sum, { share }) => sum + share, 0)).toBeLessThanOrEqual(1 + 1e-9);
      expect(all.map(({ share }) => share)).toEqual(all.map(({ share }) => share).sort((a, b) => b - a));
    }
    const named = new Set(Object.values(LIKELY).flatMap((likely) => Object.keys(likely)));
    expect([...CAUSE_NAMES].filter((name) => !named.has(name))).toEqual([]);
    for (const name of CAUSE_NAMES) {
      expect(`${CAUSES[name].title}. ${changeFor(name, METRIC)}`).toMatch(/^[A-Z].*\.$/);
      expect(changeFor(name, { temperature: 'F', length: 'in', mass: 'oz' })).not.toMatch(/°C|\bmm\b/);
    }
  });
});
