import { relaxationOf } from '../stress/relaxation';
import { SOFT_90 } from '../testCases';
import { GlassConstantsSchema, GlassInputSchema } from './glass';

test('an activation by which glass that froze hotter would be the stiffer one is refused at its field', () => {
  const { stress, structure, structureOverStress } = relaxationOf(SOFT_90);
  const withH = (activation_K: number) =>
    GlassInputSchema.safeParse({
      ...GlassConstantsSchema.strip().parse(SOFT_90),
      relaxation: { stress, structure, structureOverStress, nonLinearity: 0.6, activation_K },
    });
  expect(withH(76_000).success).toBe(true);
  expect(withH(130_000).error?.issues).toMatchObject([{ path: ['relaxation', 'activation_K'], message: expect.stringMatching(/own slope/) }]);
});
