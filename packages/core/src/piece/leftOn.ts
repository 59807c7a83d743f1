/** What a firing leaves on the glass that hands have to take off: of what the glass lay on, what stood round it, and of heat. */
import { FORM_MATERIALS, type FormMaterial, isMetal } from '../form/materials';
import type { Coat } from '../release/coat';
import type { PlannedStep } from './plannedStep';

export const LEFT = ['plaster', 'scale', 'stainlessScale', 'damPaper', 'paper', 'nitride', 'primer', 'haze'] as const;
export type Left = (typeof LEFT)[number];

const METAL_SCALE = { mildSteel: 'scale', stainless: 'stainlessScale' } as const;

/** The scale of a steel form that became as hot as it scales at; null of another form, or of a cooler firing. */
function scaleOf({ setup }: Pick<PlannedStep, 'setup'>, top_C: number): Left | null {
  const material = setup.form?.shape.material;
  if (!material || !isMetal(material)) return null;
  const { scales_C = Infinity }: FormMaterial = FORM_MATERIALS[material];
  return top_C >= scales_C ? METAL_SCALE[material as keyof typeof METAL_SCALE] : null;
}

function ofRelease(kind: Coat['kind'] | undefined, paper: boolean): Left | null {
  switch (kind) {
    case 'paper':
    case 'blanket':
    case 'glossy':
      return 'paper';
    case 'nitrideBrushed':
    case 'nitrideSprayed':
      return 'nitride';
    case 'primer':
      return 'primer';
    default:
      return paper ? 'paper' : null;
  }
}

export interface FiredSo {
  step: Pick<PlannedStep, 'setup' | 'releaseId'>;
  /** Of its schedule, or as it ran, °C. */
  top_C: number;
  dammed: boolean;
  /** It came out with crystals on its skin. */
  hazed: boolean;
  releases: readonly (Coat & { id: string })[];
}

/** What is first to come off comes first. A set-up on nothing that is known leaves primer: every shelf has some. */
export function leftOn({ step, top_C, dammed, hazed, releases }: FiredSo): Left[] {
  const { setup, releaseId } = step;
  const inPlaster = setup.kind === 'inInvestment';
  const release = ofRelease(releases.find(({ id }) => id === releaseId)?.kind, setup.paper) ?? (inPlaster ? null : 'primer');
  const found: readonly (Left | null)[] = [inPlaster ? 'plaster' : null, scaleOf(step, top_C), dammed ? 'damPaper' : null, release, hazed ? 'haze' : null];
  return found.flatMap((one) => one ?? []);
}
