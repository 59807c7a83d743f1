import { z } from 'zod';
import { count, figure, oneOf, quantity } from '../../contract/quantity';

export const summary = 'How far a body of changing depth is apart in itself as it cools, for each K/s';

const measure = (title: string) => quantity(title, 'm', 0.0005, 2);
const Exchange = (title: string) => z.union([z.literal('held'), quantity(title, 'W/(m²·K)', 0, 1e5)]);
const matter = {
  conductivity_W_mK: quantity('Conductivity', 'W/(m·K)', 0.01, 500),
  density_kg_m3: quantity('Density', 'kg/m³', 20, 12000),
  heatCapacity_J_kgK: quantity('Heat capacity', 'J/(kg·K)', 100, 5000),
};

const laid = z.strictObject({ ...matter, thickness_m: measure('Thickness') });

export const request = z
  .strictObject({
    shape: oneOf('Shape', ['section', 'round', 'box']),
    parts: z
      .array(z.strictObject({ width_m: measure('Width'), depth_m: measure('Depth') }))
      .min(1, { error: 'At least one part.' })
      .max(24, { error: 'At most 24 parts.' }),
    length_m: measure('Length').optional(),
    level: oneOf('Level', ['top', 'bottom']),
    glass: z.strictObject(matter),
    mirrored: z.boolean().optional(),
    under: z.array(laid).max(8, { error: 'At most 8 layers under the glass.' }).optional(),
    beside: laid.optional(),
    over: z.array(laid).max(8, { error: 'At most 8 layers on the glass.' }).optional(),
    exchange_W_m2K: z.strictObject({ top: Exchange('Top'), side: Exchange('Side'), bottom: Exchange('Bottom') }),
    fineness: quantity('Cells on the thinnest measure', '', 2, 60).int({ error: 'Cells on the thinnest measure must be a whole number.' }).optional(),
  })
  .refine(({ shape, length_m }) => (shape === 'box') === (length_m !== undefined), {
    path: ['length_m'],
    error: 'A box has a length, and no other shape has one.',
  })
  .refine(({ shape, mirrored }) => !mirrored || shape === 'section', { path: ['mirrored'], error: 'Only a section goes on as its mirror image.' })
  .refine(({ mirrored, beside }) => !mirrored || !beside, { path: ['beside'], error: 'What goes on as its mirror image has nothing beside it.' })
  .refine(({ level, over = [] }) => over.length === 0 || level === 'top', { path: ['over'], error: 'Only on glass that is level at the top something lies.' })
  .refine(({ exchange_W_m2K }) => exchange_W_m2K.top !== 0 || exchange_W_m2K.bottom !== 0 || exchange_W_m2K.side !== 0, {
    path: ['exchange_W_m2K'],
    error: 'It would never cool: open at least one face to the kiln.',
  });

const spot = z.object({ x_m: figure('m'), y_m: figure('m'), z_m: figure('m') });

export const answer = z.object({
  lead_s: figure('s', 'The hottest of the glass over the kiln; times the rate in K/s it is K'),
  spread_s: figure('s', 'Hottest less coldest of the glass'),
  innerSpread_s: figure('s', 'The same without a rim as wide as the body is deep'),
  bulge_s: figure('s', 'Greatest lead over the plane that fits all of the glass best'),
  dip_s: figure('s', 'By how much the coldest of the glass lies under that plane'),
  evens_s: figure('s', 'Time constant with which it evens out, of its slowest mode'),
  hottest: spot,
  coldest: spot,
  map: z.object({
    width_m: figure('m'),
    height_m: figure('m'),
    columns: count(),
    rows: count(),
    lead_s: z.array(figure('s').nullable()).meta({ description: 'Row by row from the lowest; null where there is no glass' }),
  }),
  cells: count(),
  iterations: count(),
  imbalance: figure('', 'What passes to the kiln, less what the body gives, as a share of it'),
});

const CRYSTAL = { conductivity_W_mK: 1.2, density_kg_m3: 2520, heatCapacity_J_kgK: 1100 };
const PLASTER = { thickness_m: 0.025, conductivity_W_mK: 0.45, density_kg_m3: 1100, heatCapacity_J_kgK: 1000 };

export const cases = {
  'A casting of two depths in its mould': {
    shape: 'section',
    parts: [
      { width_m: 0.1, depth_m: 0.05 },
      { width_m: 0.1, depth_m: 0.04 },
    ],
    level: 'top',
    glass: CRYSTAL,
    under: [PLASTER],
    beside: PLASTER,
    exchange_W_m2K: { top: 90, side: 90, bottom: 0 },
    fineness: 8,
  },
  'A block with every face open': {
    shape: 'box',
    parts: [{ width_m: 0.05, depth_m: 0.1 }],
    length_m: 0.1,
    level: 'bottom',
    glass: CRYSTAL,
    exchange_W_m2K: { top: 'held', side: 'held', bottom: 'held' },
    fineness: 6,
  },
} satisfies Record<string, z.input<typeof request>>;
