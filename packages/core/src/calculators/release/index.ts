import type { GlassConstants } from '../../glass/constants';
import { FORM_MATERIALS, type FormMaterialName } from '../../form/materials';
import { release } from '../../release/gap';
import { calculator } from '../calculator';

interface Asked {
  glass: GlassConstants;
  material?: FormMaterialName;
  /** In place of the material's. */
  expansion_perK?: number;
  size_m: number;
  kind: 'hollow' | 'former';
}

/** Whether glass comes free of a mould or a former. */
export const comesFree = calculator({
  compute: ({ glass, material, expansion_perK = 0, size_m, kind }: Asked) =>
    release(glass, material ? FORM_MATERIALS[material].expansion_perK : expansion_perK, size_m, kind),
  contract: () => import('./contract'),
  light: true,
});
