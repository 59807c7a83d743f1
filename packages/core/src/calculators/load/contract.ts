import { z } from 'zod';
import { AskedFiringSchema } from '../../contract/firing';
import { PurposefulSegmentSchema } from '../../contract/heat';
import { UnitsSchema, count, figure, oneOf, quantity, words } from '../../contract/quantity';
import { EvaluationSchema } from '../../contract/results';
import { CONTENTS } from '../../fit';
import { LOAD_AT_MOST } from '../../load';
import { TYPICAL_KILN } from '../../kiln/typical';
import { SETUPS } from '../../schedule/setups';
import { OutlineFields, RoomFields } from '../arrange/contract';
import { GLASS } from '../samples';

export const summary = 'One schedule for all that is in a kiln together';

export const request = z.strictObject({
  entries: z
    .array(
      z.strictObject({
        name: words('Name', 200),
        firing: AskedFiringSchema.meta({ description: 'As it would be fired by itself; kiln and controller are the same for all' }),
        hotter_K: quantity('Hotter than the rest', 'K', -90, 90)
          .optional()
          .meta({ description: 'Its place in the kiln, against where the offset of the controller holds; negative: cooler' }),
        lag_s: quantity('How far its place runs behind', 's', 0, 7200).optional(),
        underShelf: z.boolean().optional().meta({ description: 'Another shelf is over it: it sees that instead of the kiln' }),
        contents: z.array(oneOf('Content', CONTENTS)).max(CONTENTS.length).optional().meta({ description: 'What is in its glass: silver and lead fume' }),
      }),
    )
    .min(1, { error: 'A load needs at least one piece.' })
    .max(LOAD_AT_MOST, { error: `A load takes ${LOAD_AT_MOST} pieces at most.` }),
  stores: z
    .strictObject({
      chamber_J_K: quantity('What the kiln stores as it was timed', 'J/K', 100, 1e8),
      furniture_J_K: quantity('What shelves above the first and posts store', 'J/K', 0, 1e8).optional(),
    })
    .optional()
    .meta({ description: 'With it the mass of the load slows the kiln. The chamber: full power in W over the climb at full power, cold, in K/s' }),
  allows: z.strictObject({ mixed: z.boolean().optional().meta({ description: 'Glass of several heat ranges together, each soaked at its own' }) }).optional(),
  units: UnitsSchema.optional(),
});

const whose = (what: string) => count(`Index of the entry that sets ${what}; null where nobody stands out`).nullable();

export const answer = z.object({
  segments: z.array(PurposefulSegmentSchema.extend({ setBy: z.object({ rate: whose('the rate'), target: whose('the target'), hold: whose('the hold') }) })),
  total_s: figure('s'),
  entries: z.array(
    z.object({
      name: z.string(),
      evaluation: EvaluationSchema.meta({ description: 'Of this piece, by its own simulation at its place' }),
      alone: z.object({ segments: z.array(PurposefulSegmentSchema), total_s: figure('s') }).meta({ description: 'What it would have by itself' }),
      hotter_K: figure('K', 'By how much hotter the working hold would have to be for it; negative: cooler; 0 where it is right'),
      without_s: figure('s', 'About how much sooner the others could be opened without it'),
      outline: z.object(OutlineFields).meta({ description: 'What it takes of a shelf: itself before or after its firing, or its form, whichever is wider' }),
      mass_kg: figure('kg', 'Of its glass'),
      longer_s: figure('s', 'How much longer it is in the kiln than by itself'),
      cautions: z.array(z.string()).meta({ description: 'What it may do to the others, whatever the schedule' }),
      says: z.array(z.string()).meta({ description: 'Why it is not right in this load, and what it costs the others' }),
    }),
  ),
  load_J_K: figure('J/K', 'What pieces, shelves and posts store; 0 where it was not counted'),
  room: z.object(RoomFields).nullable().meta({ description: 'The inside of the kiln; null where it is not known' }),
  split: z
    .object({ first: z.array(count()), second: z.array(count()), total_s: figure('s', 'About how long both take, one after the other') })
    .nullable()
    .meta({ description: 'Two loads instead, by index, where not all can be right in one, or where two are shorter' }),
  converged: z.boolean().meta({ description: 'Whether every piece keeps every limit' }),
  evaluations: count('Simulations of all together'),
  remarks: z.array(z.string()),
});

const sheets = (sheets_: number, size_m: number) => ({
  glasses: [GLASS],
  layers: Array.from({ length: sheets_ }, () => ({ form: 'sheet' as const, glass: 0, thickness_m: 0.003 })),
  footprint: { shape: 'rectangle' as const, width_m: size_m, length_m: size_m },
});
const on = { setup: SETUPS.bareShelf, kiln: TYPICAL_KILN, look: 'fullFuse' as const };

export const cases = {
  'A tile beside a plate of 12 mm': {
    entries: [
      { name: 'Tile', firing: { body: sheets(2, 0.1), ...on } },
      { name: 'Plate', firing: { body: sheets(4, 0.25), ...on }, hotter_K: 4 },
    ],
  },
  'Under another shelf, at the back that runs behind, in a kiln of 3 kW': {
    entries: [
      { name: 'Tile', firing: { body: sheets(2, 0.1), ...on }, underShelf: true, contents: ['silver' as const] },
      { name: 'Plate', firing: { body: sheets(4, 0.25), ...on }, lag_s: 120 },
    ],
    stores: { chamber_J_K: 14500, furniture_J_K: 5400 },
  },
  'A tack beside a full fuse, in °F': {
    entries: [
      { name: 'Tile', firing: { body: sheets(2, 0.1), ...on } },
      { name: 'Tacked', firing: { body: sheets(2, 0.2), ...on, look: 'tack' as const } },
    ],
    units: { temperature: 'F' as const },
  },
} satisfies Record<string, z.input<typeof request>>;
