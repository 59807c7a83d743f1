import fc from 'fast-check';
import { footprintArea } from '../body/footprint';
import { overhangThatHolds, workToDrape } from '../flow/sag';
import { TYPICAL_FAMILIES } from '../glass/families';
import { valueOf } from '../problem';
import { type BlankAsked, type BlankTold, blank } from './blank';
import { type HollowForm, formSurface, planArea } from '../form/surface';

const glass = TYPICAL_FAMILIES[0];
const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const into = (form: HollowForm, more: Partial<Extract<BlankAsked, { way: 'into' }>> = {}): BlankTold =>
  valueOf(blank({ way: 'into', glass, thickness_m: 0.006, under_m: 0, form, ...more }));
const over = (form: HollowForm, more: Partial<Extract<BlankAsked, { way: 'over' }>> = {}): BlankTold =>
  valueOf(blank({ way: 'over', glass, thickness_m: 0.006, hang_m: 0.05, form, ...more }));
/** So thin that where its middle lies does not count. */
const thin = { thickness_m: 1e-6 };
const cone = (rim_m: number, floor_m: number, depth_m: number): HollowForm => ({ plan: 'round', across: { rim_m, floor_m }, depth_m });
const bowl = (rim_m: number, depth_m: number): HollowForm => ({ plan: 'round', across: { rim_m }, depth_m });

describe('the inside of a form', () => {
  test('a frustum, a dome, a dish with four walls and a trough, by closed forms to 0.1 %', () => {
    const area = (form: HollowForm): number => valueOf(formSurface(form)).areaTo(1);
    expect(area(cone(0.3, 0.1, 0.06)) / (Math.PI * 0.05 ** 2 + Math.PI * 0.2 * Math.hypot(0.1, 0.06))).toBeCloseTo(1, 3.5);
    expect(area(bowl(0.3, 0.05)) / (Math.PI * (0.15 ** 2 + 0.05 ** 2))).toBeCloseTo(1, 3.5);
    const dish: HollowForm = { plan: 'rectangle', across: { rim_m: 0.2, floor_m: 0.12 }, along: { rim_m: 0.3, floor_m: 0.2 }, depth_m: 0.05 };
    // Long walls slant over 40, short ones over 50.
    const walls = (0.3 + 0.2) * Math.hypot(0.04, 0.05) + (0.2 + 0.12) * Math.hypot(0.05, 0.05);
    expect(area(dish) / (0.12 * 0.2 + walls)).toBeCloseTo(1, 3.5);
    const arch: HollowForm = { plan: 'trough', across: { rim_m: 0.2 }, along: { rim_m: 0.4 }, depth_m: 0.05 };
    const radius = (0.1 ** 2 + 0.05 ** 2) / 0.1;
    expect(area(arch) / (2 * radius * Math.asin(0.1 / radius) * 0.4)).toBeCloseTo(1, 3.5);
    const oval: HollowForm = { plan: 'oval', across: { rim_m: 0.2, floor_m: 0.1 }, along: { rim_m: 0.2, floor_m: 0.1 }, depth_m: 0.04 };
    expect(area(oval)).toBeCloseTo(area(cone(0.2, 0.1, 0.04)), 6);
  });

  test('a wall as it was measured: straight where it is as long as the slant, else an arc of that length', () => {
    const straight = valueOf(formSurface(cone(0.3, 0.1, 0.06)));
    const told = valueOf(formSurface({ ...cone(0.3, 0.1, 0.06), wall_m: Math.hypot(0.1, 0.06) * 1.000000001 }));
    expect(told.areaTo(1)).toBeCloseTo(straight.areaTo(1), 5);
    const round = valueOf(formSurface({ ...cone(0.3, 0.1, 0.06), wall_m: 0.121 }));
    const drawn = round.section
      .slice(1)
      .reduce((sum, { out_m, up_m }, i, all) => (i === 0 ? 0 : sum + Math.hypot(out_m - all[i - 1].out_m, up_m - all[i - 1].up_m)), 0);
    expect(drawn).toBeCloseTo(0.121, 4);
    expect(round.section.at(-1)).toEqual({ out_m: expect.closeTo(0.15, 6), up_m: expect.closeTo(0.06, 6) });
    expect(round.areaTo(1)).toBeGreaterThan(straight.areaTo(1));
  });

  test('a tape in place of the floor is the same form, and the same blank', () => {
    fc.assert(
      fc.property(figure(0.1, 0.5), figure(0.05, 0.95), figure(0.01, 0.2), (rim_m, share, depth_m) => {
        const floor_m = share * rim_m;
        const tape_m = floor_m + 2 * Math.hypot((rim_m - floor_m) / 2, depth_m);
        const told = into({ plan: 'round', across: { rim_m, tape_m }, depth_m });
        expect(told.sizes_m[0]).toBeCloseTo(into(cone(rim_m, floor_m, depth_m)).sizes_m[0], 6);
        expect(told.sizes_m[0]).toBeLessThan(tape_m + 1e-9);
      }),
      { numRuns: 400, seed: 3 },
    );
  });

  test('lobes that are no longer than what is between them are a round form; as waves they have the area of waves', () => {
    const lobed: HollowForm = { plan: 'lobed', lobes: 5, across: { rim_m: 0.3, floor_m: 0.1 }, along: { rim_m: 0.3 }, depth_m: 0.06 };
    expect(into(lobed).sizes_m[0]).toBeCloseTo(into(cone(0.3, 0.1, 0.06)).sizes_m[0], 5);
    const waves = into({ ...lobed, along: { rim_m: 0.24 } });
    expect(waves.outline).toMatchObject({ shape: 'polygon' });
    const [tip, between] = waves.sizes_m.map((size) => size / 2);
    expect(footprintArea(waves.outline)).toBeCloseTo(Math.PI * (((tip + between) / 2) ** 2 + ((tip - between) / 2) ** 2 / 2), 9);
    expect(footprintArea(waves.outline) / waves.lies_m2).toBeCloseTo(1, 6);
  });
});

/**
 * The other way: a sheet of rings that are free to slide out or in over a shallow form, at the least of its membrane energy
 * ∫(e_r² + e_θ² + e_r·e_θ)r dr with e_r = u' + w'²/2 and e_θ = u/r (incompressible). Gives how far in its edge comes, u(a).
 */
function edgeComesIn(radius_m: number, slope: (r_m: number) => number): number {
  const n = 400;
  const dr = radius_m / n;
  const [diagonal, beside, right] = [new Float64Array(n + 1), new Float64Array(n + 1), new Float64Array(n + 1)];
  for (let i = 0; i < n; i++) {
    const r = (i + 0.5) * dr;
    const [g, h] = [1 / dr, 1 / (2 * r)];
    const bent = slope(r) ** 2 / 2;
    // u' = g·(u1 − u0), u/r = h·(u0 + u1); e_r² + e_θ² + e_r·e_θ to the second order in u.
    const [a0, a1, b] = [-g, g, h];
    const add = (p: number, q: number): number => (2 * p * q + 2 * b * b + (p + q) * b) * r * dr;
    diagonal[i] += add(a0, a0);
    diagonal[i + 1] += add(a1, a1);
    beside[i] += add(a0, a1);
    right[i] -= bent * (2 * a0 + b) * r * dr;
    right[i + 1] -= bent * (2 * a1 + b) * r * dr;
  }
  diagonal[0] += 1e30;
  for (let i = 1; i <= n; i++) {
    const by = beside[i - 1] / diagonal[i - 1];
    diagonal[i] -= by * beside[i - 1];
    right[i] -= by * right[i - 1];
  }
  return right[n] / diagonal[n];
}

test('a sheet that slides keeps its area: the edge comes in as far as by the least energy, for a bowl and a cone', () => {
  const rim = 0.3;
  for (const depth of [0.002, 0.005]) {
    const asBowl = edgeComesIn(rim / 2, (r) => (2 * depth * r) / (rim / 2) ** 2);
    const asCone = edgeComesIn(rim / 2, () => depth / (rim / 2));
    expect((into(bowl(rim, depth), thin).summed_m[0] - rim) / 2 / -asBowl).toBeCloseTo(1, 2);
    expect((into(cone(rim, 0, depth), thin).summed_m[0] - rim) / 2 / -asCone).toBeCloseTo(1, 2);
  }
});

describe('into a hollow', () => {
  test('300 mm across and 50 deep: 316 mm of thin glass, 312 of 6 mm, whose middle lies further in; what its edge bears', () => {
    expect(into(bowl(0.3, 0.05), thin).summed_m[0]).toBeCloseTo(Math.sqrt(0.3 ** 2 + 4 * 0.05 ** 2), 4);
    const told = into(bowl(0.3, 0.05));
    // A cap of the same angle of a sphere of 247 mm instead of 250.
    const cap_m2 = 2 * Math.PI * 0.247 ** 2 * (1 - Math.cos(Math.asin(0.15 / 0.25)));
    expect(told.sizes_m[0] / (2 * Math.sqrt(cap_m2 / Math.PI))).toBeCloseTo(1, 3.5);
    expect(told.stands_m[0]).toBeCloseTo(0.0062, 4);
    expect(told.bears_m).toBeGreaterThan(0.02);
    expect(told.shaping).toEqual({ kind: 'hollow', span_m: 0.3, depth_m: expect.closeTo(0.05, 12) });
    expect(told.mass_kg).toBeCloseTo((Math.PI / 4) * told.sizes_m[0] ** 2 * 0.006 * glass.density_kg_m3, 9);
    expect(into(bowl(0.3, 0.05), { thickness_m: 0.002 }).bears_m).toBeLessThan(told.bears_m);
  });

  test('three quarters of what a tape is longer, where it is shallow; all of it where it bends one way alone', () => {
    const [rim, depth] = [0.3, 0.01];
    const radius = ((rim / 2) ** 2 + depth ** 2) / (2 * depth);
    const tape = 2 * radius * Math.asin(rim / 2 / radius);
    expect((into(bowl(rim, depth), thin).summed_m[0] - rim) / (tape - rim)).toBeCloseTo(0.75, 2);
    const trough: HollowForm = { plan: 'trough', across: { rim_m: rim }, along: { rim_m: 0.4 }, depth_m: depth };
    expect(into(trough, thin).summed_m).toEqual([expect.closeTo(tape, 5), expect.closeTo(0.4, 9)]);
  });

  test('where it bends by half a turn, half its thickness stays further in; at an upright wall the corner takes its own', () => {
    const half: HollowForm = { plan: 'trough', across: { rim_m: 0.2 }, along: { rim_m: 0.4 }, depth_m: 0.1 };
    expect(into(half).summed_m[0] / (Math.PI * 0.097)).toBeCloseTo(1, 3.5);
    // A box bent one way: 100 less a thickness, and twice 50 less half a thickness.
    const box: HollowForm = { plan: 'trough', across: { rim_m: 0.1, floor_m: 0.1 }, along: { rim_m: 0.4 }, depth_m: 0.05 };
    expect(into(box).summed_m[0]).toBeCloseTo(0.1 - 0.006 + 2 * (0.05 - 0.003), 9);
    // A frustum within a frustum: its floor raised, its corner moved in by half the angle's tangent.
    const steep = Math.atan2(0.06, 0.1);
    const [low, high] = [0.05 - 0.003 * Math.tan(steep / 2), 0.15 - 0.003 * Math.sin(steep)];
    const slant = Math.hypot(0.1, 0.06) - 0.003 * Math.tan(steep / 2);
    expect(into(cone(0.3, 0.1, 0.06)).lies_m2 / (Math.PI * low ** 2 + Math.PI * (low + high) * slant)).toBeCloseTo(1, 3.5);
    expect(blank({ way: 'into', glass, thickness_m: 0.08, under_m: 0, form: cone(0.06, 0.05, 0.05) })).toMatchObject({
      ok: false,
      problem: { path: 'thickness_m' },
    });
  });

  test('deeper takes more, an edge that is to end lower takes less, and a rim-sized blank ends where it is said to', () => {
    fc.assert(
      fc.property(figure(0.1, 0.6), figure(0.05, 0.9), figure(0.05, 0.8), figure(0.05, 0.6), (rim, floorShare, deepShare, underShare) => {
        const form = cone(rim, floorShare * rim, (deepShare * rim) / 2);
        const told = into(form, thin);
        expect(told.sizes_m[0]).toBeGreaterThan(rim);
        expect(into({ ...form, depth_m: form.depth_m * 1.1 }, thin).summed_m[0]).toBeGreaterThan(told.summed_m[0]);
        const under = into(form, { ...thin, under_m: underShare * valueOf(formSurface(form)).wall_m });
        expect(under.summed_m[0]).toBeLessThan(told.summed_m[0]);
        expect(planArea('round', [under.summed_m[0] / 2])).toBeCloseTo(under.lies_m2, 9);
        expect(footprintArea(under.outline)).toBeLessThan(under.lies_m2 + 1e-9);
        expect(into(form, { ...thin, under_m: told.rimEnds_m ?? NaN }).sizes_m[0] / rim).toBeCloseTo(1, 3);
      }),
      { numRuns: 400, seed: 9 },
    );
  });

  test('what cannot be is refused where it is told', () => {
    const path = (form: HollowForm, more: object = {}): string => {
      const outcome = blank({ way: 'into', glass, thickness_m: 0.006, under_m: 0, form, ...more });
      return outcome.ok ? '' : outcome.problem.path;
    };
    expect(path(cone(0.2, 0.25, 0.05))).toBe('form.across.floor_m');
    expect(path(bowl(0.2, 0.15))).toBe('form.depth_m');
    expect(path({ ...cone(0.3, 0.1, 0.06), wall_m: 0.1 })).toBe('form.wall_m');
    expect(path({ ...cone(0.3, 0.1, 0.06), wall_m: 0.2 })).toBe('form.wall_m');
    expect(path({ plan: 'round', across: { rim_m: 0.3, tape_m: 0.29 }, depth_m: 0.05 })).toBe('form.across.tape_m');
    expect(path({ plan: 'round', across: { rim_m: 0.3, tape_m: 0.5 }, depth_m: 0.05 })).toBe('form.across.tape_m');
    expect(path(cone(0.3, 0.1, 0.06), { under_m: 0.2 })).toBe('under_m');
    expect(path({ plan: 'lobed', lobes: 4, across: { rim_m: 0.2, floor_m: 0.1 }, along: { rim_m: 0.25 }, depth_m: 0.05 })).toBe('form.along.rim_m');
    expect(path({ plan: 'rectangle', across: { rim_m: 0.2 }, along: { rim_m: 0.2, floor_m: 0.3 }, depth_m: 0.05 })).toBe('form.along.floor_m');
  });
});

describe('over a former', () => {
  const former = (top: number, high: number): HollowForm => ({ plan: 'round', across: { rim_m: top }, depth_m: high });

  test('as wide as the tape over the top; what is left to the shelf; how much rim it has too much', () => {
    const told = over(former(0.12, 0.1));
    // A quarter turn over each edge, half a thickness outside of it.
    expect(told.sizes_m[0]).toBeCloseTo(0.22 + 2 * 0.003 * (Math.PI / 2), 12);
    expect(told.clearance_m).toBeCloseTo(0.05, 12);
    expect(told.spare).toBeCloseTo(1 - 0.12 / told.sizes_m[0], 12);
    expect(told.shaping).toMatchObject({ kind: 'former', overhang_m: expect.closeTo(0.05471, 5), drop_m: 0.05, former_m: 0.12 });
    expect(
      valueOf(blank({ way: 'over', glass, thickness_m: 0.006, form: { ...former(0.12, 0.1), across: { rim_m: 0.12, tape_m: 0.22 } } })).sizes_m[0],
    ).toBeCloseTo(told.sizes_m[0], 12);
    expect(over(former(0.12, 0.04)).clearance_m).toBeCloseTo(-0.01, 12);
  });

  test('corners of a square hang by √2, a foot that stands out keeps an edge higher', () => {
    const square: HollowForm = { plan: 'rectangle', across: { rim_m: 0.1 }, along: { rim_m: 0.1 }, depth_m: 0.1 };
    expect(over(square).clearance_m).toBeCloseTo(0.1 - 0.05 * Math.SQRT2, 12);
    const sloped = over({ plan: 'round', across: { rim_m: 0.1, floor_m: 0.3 }, depth_m: 0.1 });
    expect(sloped.shaping).toMatchObject({ overhang_m: expect.closeTo(0.05 + 0.003 * (Math.PI / 4), 9), drop_m: expect.closeTo(0.05 * Math.SQRT1_2, 9) });
    expect(sloped.clearance_m).toBeCloseTo(0.1 - 0.05 * Math.SQRT1_2, 9);
  });

  test('lobes stand out to the tape, valleys by as much less as a square has between its corners', () => {
    const told = over({ ...former(0.12, 0.1), lobes: 3 }, thin);
    expect(told.sizes_m).toEqual([expect.closeTo(0.22, 5), expect.closeTo(0.12 + 0.1 * Math.SQRT1_2, 5)]);
    expect(told.outline.shape === 'polygon' && told.outline.corners_m.length % 3).toBe(0);
    // Where the overhang is less by the root of two its edge has come down a quarter as far.
    const [tip, valley] = told.stands_m;
    expect(workToDrape(glass, tip, 0.006, 0.002) / workToDrape(glass, valley, 0.006, 0.002)).toBeCloseTo(0.25, 4);
  });

  test('how far an edge may stand out is where a given work brings it down by no more', () => {
    fc.assert(
      fc.property(figure(0.002, 0.02), figure(0.01, 0.2), figure(1e-6, 1e-3), (sheet, reach, work) => {
        const drop = work / (workToDrape(glass, reach, sheet, 1e-9 * reach) / (1e-9 * reach));
        expect(overhangThatHolds(glass, sheet, drop, work) / reach).toBeCloseTo(1, 9);
      }),
      { numRuns: 400, seed: 4 },
    );
  });
});

describe('corrected by last time', () => {
  const last = (across_m: number, over_: Partial<{ door: number; back: number; left: number; right: number }>, along_m?: number) => ({
    ...{ across_m, ...(along_m === undefined ? {} : { along_m }) },
    over: { door_m: over_.door ?? 0, back_m: over_.back ?? 0, left_m: over_.left ?? 0, right_m: over_.right ?? 0 },
  });

  test('9 mm over on the door side of a square: 9 less that way, laid 4.5 further from the door, and nothing is left over', () => {
    const dish: HollowForm = { plan: 'rectangle', across: { rim_m: 0.2, floor_m: 0.1 }, along: { rim_m: 0.3, floor_m: 0.2 }, depth_m: 0.04 };
    const told = into(dish, { last: last(0.21, { door: 0.009 }, 0.31) });
    expect(told.sizes_m).toEqual([expect.closeTo(0.21, 12), expect.closeTo(0.301, 12)]);
    expect(told.shift).toEqual({ fromDoor_m: 0.0045, fromLeft_m: 0, left_m: expect.closeTo(0, 12) });
    expect(told.summed_m[1]).toBeCloseTo(into(dish).sizes_m[1], 12);
  });

  test('a disc stays a disc: less by the mean of its sides, and what that leaves is said', () => {
    const told = into(bowl(0.3, 0.05), { last: last(0.316, { door: 0.009 }) });
    expect(told.sizes_m[0]).toBeCloseTo(0.316 - 0.0045, 12);
    expect(told.shift).toMatchObject({ fromDoor_m: 0.0045, left_m: expect.closeTo(0.00225, 12) });
    const evenly = into(bowl(0.3, 0.05), { last: last(0.316, { door: -0.004, back: -0.004, left: -0.004, right: -0.004 }) });
    expect(evenly.sizes_m[0]).toBeCloseTo(0.324, 12);
    expect(evenly.shift).toMatchObject({ fromDoor_m: 0, left_m: expect.closeTo(0, 12) });
  });

  test('whatever was over on its sides, two sizes and a shift take all of it away', () => {
    const side = figure(-0.02, 0.02);
    const dish: HollowForm = { plan: 'rectangle', across: { rim_m: 0.2, floor_m: 0.1 }, along: { rim_m: 0.3, floor_m: 0.2 }, depth_m: 0.04 };
    fc.assert(
      fc.property(side, side, side, side, (door, back, left, right) => {
        const { sizes_m, shift } = into(dish, { last: last(0.21, { door, back, left, right }, 0.31) });
        expect(shift?.left_m).toBeCloseTo(0, 12);
        expect(sizes_m[0] - 0.21 + left + right).toBeCloseTo(0, 12);
        expect(sizes_m[1] - 0.31 + door + back).toBeCloseTo(0, 12);
      }),
      { numRuns: 400, seed: 6 },
    );
  });

  test('a size that is missing, or that nothing is left of, is refused', () => {
    const form: HollowForm = { plan: 'oval', across: { rim_m: 0.2, floor_m: 0.1 }, along: { rim_m: 0.3, floor_m: 0.2 }, depth_m: 0.04 };
    const of = (told: ReturnType<typeof last>) => blank({ way: 'into', glass, thickness_m: 0.006, under_m: 0, form, last: told });
    expect(of(last(0.2, {}))).toMatchObject({ ok: false, problem: { path: 'last.along_m' } });
    expect(of(last(0.02, { left: 0.02 }, 0.3))).toMatchObject({ ok: false, problem: { path: 'last' } });
  });
});
