/** What ships as typical, for those who put requests together. */
import { FORM_MATERIALS } from '@torvin/core/form';
import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { LOOKS, RECIPES } from '@torvin/core/look';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, SETUPS, SETUP_NAMES, type SetUpKind, withPaper } from '@torvin/core/schedule';
import type { AnswerOf } from '@torvin/schema';
import type { typicalEndpoint } from '@torvin/schema/server';

export const typical = (): AnswerOf<typeof typicalEndpoint> => ({
  families: [...TYPICAL_FAMILIES],
  setups: Object.fromEntries(
    (Object.keys(SETUPS) as SetUpKind[]).map((kind) => [kind, { name: SETUP_NAMES[kind], setup: SETUPS[kind], onPaper: withPaper(SETUPS[kind]) }]),
  ),
  moulds: FORM_MATERIALS,
  looks: Object.fromEntries(
    LOOKS.map((look) => {
      const { name, group, reaches, spares, care, looksLike, asks } = RECIPES[look];
      return [look, { ...{ name, group, reaches, spares, care, looksLike }, ...(asks ? { asks: asks.kind } : {}) }];
    }),
  ),
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
});
