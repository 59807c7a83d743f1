import { type FormShape, PLANS } from '@torvin/core/form';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { type BlankAsked, blankOf } from '@torvin/core/quantity';
import { METRIC, type Units } from '@torvin/core/units';
import { WAYS, fieldOfBlank, fieldsOfForm, readBlank, spreadBlank, tapesOf, typedForm, typedLast } from './blankEntry';
import { blankSection, lobedPlan } from './blankSection';

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const [glass] = TYPICAL_FAMILIES;
const read = (typed: Record<string, string>, units = METRIC) => readBlank(typed, units, glass, 0.006);
const SIZES: Record<string, string> = { rim: '200', rimAlong: '180', depth: '40', lobes: '4', hang: '30' };

test('every form is read from what it asks for, each field refused by its own name', () => {
  for (const way of WAYS)
    for (const plan of PLANS) {
      const fields = fieldsOfForm(way, plan).map(({ field }) => field);
      const typed = { way, plan, ...Object.fromEntries(fields.flatMap((field) => (SIZES[field] ? [[field, SIZES[field]]] : []))) };
      expect(read(typed)).toMatchObject({ value: { way, form: { plan, depth_m: 0.04 } }, missing: [], problems: {} });
      expect(read({ ...typed, rim: '' }).missing).toHaveLength(1);
      for (const field of [...fields, ...tapesOf(way, plan).map((one) => one.field)]) {
        const path = {
          rim: 'form.across.rim_m',
          floor: 'form.across.floor_m',
          floorAlong: 'form.along.floor_m',
          tape: 'form.across.tape_m',
          wall: 'form.wall_m',
        }[field];
        if (path) expect(fieldOfBlank(path, typed)).toBe(field);
      }
    }
});

test('sizes typed as one go to their fields, a tape stands before a floor', () => {
  expect(spreadBlank({ plan: 'rectangle', rim: '20 × 30 × 4 cm' })).toMatchObject({ rim: '20 cm', rimAlong: '30 cm', depth: '4 cm' });
  expect(spreadBlank({ rim: '30 x 5 cm' })).toMatchObject({ rim: '30 cm', depth: '5 cm' });
  expect(read({ rim: '300', depth: '50', floor: '100', tape: '330' }).value?.form.across).toEqual({ rim_m: 0.3, tape_m: expect.closeTo(0.33, 9) });
  expect(read({ way: 'over', rim: '120', depth: '90' }).missing).toEqual(['way it hangs down']);
  expect(read({ way: 'over', rim: '120', depth: '90', tape: '240' }).missing).toEqual([]);
});

test('a minus is short, in the units of the studio; sides that are left out were as they were meant', () => {
  const typed = { rim: '300', depth: '50', lastAcross: '316', atDoor: '9', atBack: '-4', atLeft: '− 1/8 in' };
  expect(read(typed).value?.last?.over).toEqual({ door_m: expect.closeTo(0.009, 9), back_m: -0.004, left_m: expect.closeTo(-0.003175, 9), right_m: 0 });
  expect(read({ rim: '12', depth: '2', lastAcross: '12 1/2', atDoor: '-1/4' }, INCHES).value?.last?.over.door_m).toBeCloseTo(-0.00635, 9);
  expect(read({ ...typed, atRight: 'wide' }).problems).toHaveProperty('atRight');
  expect(read({ ...typed, lastAcross: '' }).missing).toEqual(['last blank']);
  expect(read({ rim: '300', depth: '50' }).value?.last).toBeUndefined();
});

test('what a firing knows of its form, and what was cut by the sum, is typed in the units of the studio', () => {
  expect(typedForm({ kind: 'hollow', span_m: 0.22, depth_m: 0.045 }, METRIC)).toMatchObject({ way: 'into', rim: '220', depth: '45' });
  expect(typedForm({ kind: 'former', overhang_m: 0.09, drop_m: 0.0508, former_m: 0.127 }, INCHES)).toMatchObject({ way: 'over', hang: '2', rim: '5' });
  // A tape or a last blank of another form would stand before it.
  const other = { rim: '300', depth: '50', floor: '100', tape: '330', lastAcross: '316', atDoor: '9' };
  expect(read({ ...other, ...typedForm({ kind: 'hollow', span_m: 0.22, depth_m: 0.045 }, METRIC) }).value).toEqual(read({ rim: '220', depth: '45' }).value);
  expect(typedLast({ summed_m: [0.31053, 0.2] }, METRIC)).toEqual({ lastAcross: '311', lastAlong: '200' });
});

describe('cut through', () => {
  const asked = (typed: Record<string, string>): BlankAsked => {
    const { value } = read(typed);
    if (!value) throw new Error('nothing read');
    return value;
  };
  const drawn = (typed: Record<string, string>) => {
    const question = asked(typed);
    const told = blankOf(question);
    if (!told.ok) throw new Error(told.problem.message);
    return { question, told: told.value, section: blankSection(question, told.value, { width: 358, height: 126 }, 'mm') };
  };
  const points = (path: string): [number, number][] => [...path.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

  test('the blank is as wide as it is cut, and lies on the form as far as it reaches; nothing leaves the picture', () => {
    const forms: Record<string, string>[] = [
      { rim: '300', depth: '50' },
      { rim: '300', depth: '50', floor: '120', under: '8' },
      { way: 'over', rim: '120', depth: '90', hang: '60' },
    ];
    for (const typed of forms) {
      const { told, section } = drawn(typed);
      expect((section.flat.width / section.bar.px) * section.bar.metres).toBeCloseTo(told.sizes_m[0], 6);
      const lying = points(section.lying);
      const px = section.bar.px / section.bar.metres;
      const way = lying.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - lying[i][0], y - lying[i][1]), 0) / px;
      // Over a former it is as long as the blank; into a mould longer, as it draws in round the rim too.
      if ('way' in typed) expect(way).toBeCloseTo(told.sizes_m[0] - told.bend_m, 2);
      else expect(way).toBeGreaterThan(told.sizes_m[0]);
      for (const [x, y] of [...lying, ...points(section.form)]) {
        expect(x).toBeGreaterThanOrEqual(-0.5);
        expect(x).toBeLessThanOrEqual(358.5);
        expect(y).toBeGreaterThanOrEqual(-0.5);
        expect(y).toBeLessThanOrEqual(126.5);
      }
    }
  });

  test('lobes from above lie round the rim that they are for', () => {
    const { question, told } = drawn({ plan: 'lobed', rim: '280', rimAlong: '220', depth: '50', floor: '100', lobes: '5' });
    const plan = lobedPlan(question, told, 126);
    const reach = (path = ''): number => Math.max(...points(path).map(([x, y]) => Math.hypot(x - 63, y - 63)));
    expect(reach(plan?.blank)).toBeGreaterThan(reach(plan?.on));
    expect(reach(plan?.on) / reach(plan?.blank)).toBeCloseTo(280 / (told.sizes_m[0] * 1e3), 2);
    expect(lobedPlan(question, { ...told, outline: { shape: 'disc', diameter_m: 0.3 } }, 126)).toBeNull();
  });
});

test('for a form of the shelf its measures are asked of nobody: what is typed beside them counts', () => {
  const basin: FormShape = {
    use: 'hollow',
    plan: 'round',
    across_m: 0.366,
    deep_m: 0.062,
    thick_m: 0.012,
    material: 'earthenware',
    foot_m: 0.01,
    floor_m: 0.2,
  };
  const forForm = (typed: Record<string, string>, form: FormShape) => readBlank(typed, METRIC, glass, 0.006, form);
  expect(forForm({ rim: '100', under: '5' }, basin).value).toMatchObject({ way: 'into', under_m: 0.005, form: { across: { rim_m: 0.366 }, foot_m: 0.01 } });
  expect(forForm({ thick: '4', lastAcross: '380', atDoor: '2' }, basin).value).toMatchObject({
    thickness_m: 0.004,
    last: { across_m: 0.38, over: { door_m: 0.002 } },
  });
  const drum: FormShape = { use: 'former', plan: 'round', across_m: 0.12, deep_m: 0.11, thick_m: 0.002, material: 'stainless' };
  expect(forForm({}, drum).value).toMatchObject({ way: 'over', hang_m: expect.closeTo(0.105, 9) });
  expect(forForm({ hang: '60' }, drum).value).toMatchObject({ hang_m: 0.06 });
  expect(forForm({ hang: 'low' }, drum).problems).toHaveProperty('hang');
});
