/** What ships as typical, for those who put requests together: each part goes into one as it is. */
import { TYPICAL_CONTROLLERS } from '@torvin/core/controller';
import { FORM_MATERIALS, FORM_MATERIAL_NAMES, type FormMaterial } from '@torvin/core/form';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { TYPICAL_KILN } from '@torvin/core/kiln';
import { LOOKS, RECIPES } from '@torvin/core/look';
import { constantsOf } from '@torvin/core/piece';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, SETUPS, SETUP_NAMES, type SetUpKind, withPaper } from '@torvin/core/schedule';
import type { AnswerOf } from '@torvin/schema';
import type { typicalEndpoint } from '@torvin/schema/server';

export const typical = (): AnswerOf<typeof typicalEndpoint> => ({
  glasses: Object.fromEntries(TYPICAL_FAMILIES.map((family) => [family.id, { name: family.name, source: family.source, glass: constantsOf(family) }])),
  kilns: { typical: { name: 'A typical kiln', kiln: TYPICAL_KILN } },
  controllers: Object.fromEntries(TYPICAL_CONTROLLERS.map(({ id, name, ...controller }) => [id, { name, controller }])),
  setups: Object.fromEntries(
    (Object.keys(SETUPS) as SetUpKind[]).map((kind) => [kind, { name: SETUP_NAMES[kind], setup: SETUPS[kind], onPaper: withPaper(SETUPS[kind]) }]),
  ),
  moulds: Object.fromEntries(
    FORM_MATERIAL_NAMES.map((one) => {
      const { name, expansion_perK, note }: FormMaterial = FORM_MATERIALS[one];
      return [one, { name, expansion_perK, ...(note === undefined ? {} : { note }) }];
    }),
  ),
  looks: Object.fromEntries(
    LOOKS.map((look) => {
      const { name, group, reaches, spares, care, looksLike, asks } = RECIPES[look];
      return [look, { ...{ name, group, reaches, spares, care, looksLike }, ...(asks ? { asks: asks.kind } : {}) }];
    }),
  ),
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
});
