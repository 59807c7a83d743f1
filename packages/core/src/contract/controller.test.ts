/** What is usual of a controller may be told of it, too, and comes to the same controller. */
import { profileOf } from '../controller/profile';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { ControllerInputSchema } from './controller';

test.each(TYPICAL_CONTROLLERS)('$name, with everything said that is usual where nothing is', ({ id: _id, name: _name, ...controller }) => {
  const profile = profileOf(controller);
  const read = ControllerInputSchema.safeParse({ ...controller, ...profile });
  expect(read.error?.issues ?? []).toEqual([]);
  expect(profileOf(read.data!)).toEqual(profile);
});

test('three figures make one, and it holds at least one program of its own', () => {
  const three = { unit: 'C', fullSpeedCode: 9999, mostSegments: 8 } as const;
  expect(profileOf(ControllerInputSchema.parse(three))).toMatchObject({ programs: 1, builtIn: 0, targetStep: 1, fullSpeedDownCode: 9999 });
  expect(ControllerInputSchema.safeParse({ ...three, builtIn: -1 }).success).toBe(false);
  expect(ControllerInputSchema.safeParse({ ...three, mostSegments: 0 }).success).toBe(false);
});
