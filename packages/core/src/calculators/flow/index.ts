import { type FlowQuestion, askFlow } from '../../flow/ask';
import type { GlassConstants } from '../../glass/constants';
import { calculator } from '../calculator';

/** One question of viscosity, heat work or flow. */
export const flow = calculator({
  compute({ glass, question }: { glass: GlassConstants; question: FlowQuestion }) {
    const { value, unit } = askFlow(glass, question);
    return { value: Number.isFinite(value) ? value : null, unit };
  },
  contract: () => import('./contract'),
  light: true,
});
