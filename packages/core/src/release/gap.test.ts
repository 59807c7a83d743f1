import { SOFT_90 } from '../testCases';
import { settingPoint } from '../fit/seal';
import { FORM_MATERIALS } from '../form/materials';
import { release } from './gap';

describe('gap = (α_glass − α_mould)·(T_set − 20)·size', () => {
  test('300 mm of soft sheet in earthenware is 0.36 mm free', () => {
    const { gap_m, comesFree } = release(SOFT_90, FORM_MATERIALS.earthenware.expansion_perK, 0.3, 'hollow');
    expect(settingPoint(SOFT_90)).toBeCloseTo(497, 0);
    expect(gap_m).toBeCloseTo(2.5e-6 * (settingPoint(SOFT_90) - 20) * 0.3, 12);
    expect(gap_m * 1e3).toBeCloseTo(0.36, 2);
    expect(comesFree).toBe(true);
  });

  test('a hollow of steel grips, a former of steel comes free; a ceramic former under a drape grips', () => {
    const steel = FORM_MATERIALS.stainless.expansion_perK;
    expect(release(SOFT_90, steel, 0.2, 'hollow').comesFree).toBe(false);
    expect(release(SOFT_90, steel, 0.2, 'former').comesFree).toBe(true);
    expect(release(SOFT_90, FORM_MATERIALS.cordierite.expansion_perK, 0.2, 'former').comesFree).toBe(false);
  });
});
