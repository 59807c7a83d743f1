import { z } from 'zod';
import { count, figure, oneOf, quantity } from '../../contract/quantity';
import { ELEMENT_PLACES, SHELVES_AT_MOST, USUAL_CLEARANCES, WALLS } from '../../kiln';
import { LOAD_AT_MOST } from '../../load';

export const summary = 'Places pieces on the shelves of a kiln';

const side = (title: string) => quantity(title, 'm', 0.005, 5);
const high = quantity('Height', 'm', 0.0005, 3);
/** From 0, of so many. */
const placeIn = (many: number, error: string) =>
  z
    .number()
    .int({ error })
    .min(0)
    .max(many - 1)
    .meta({ 'x-unit': '1' });
const free = (title: string) => quantity(title, 'm', 0, 0.5);

export const OutlineFields = { wide_m: side('Width'), long_m: side('Length'), isRound: z.boolean(), high_m: high };
export const RoomFields = {
  wide_m: side('Width inside'),
  long_m: side('Length inside'),
  isRound: z.boolean(),
  high_m: quantity('Height inside', 'm', 0.01, 5).nullable(),
  elements: oneOf('Elements', ELEMENT_PLACES).optional(),
  probe: z
    .strictObject({ from: oneOf('Wall', WALLS), reach_m: quantity('How far it reaches in', 'm', 0.005, 0.5) })
    .optional()
    .meta({ description: 'The thermocouple, in the middle of a wall' }),
  post_m: quantity('Side of a post', 'm', 0.01, 0.2).optional(),
};

export const request = z.strictObject({
  items: z
    .array(z.strictObject(OutlineFields))
    .min(1, { error: 'Send at least one piece.' })
    .max(LOAD_AT_MOST, { error: `A load takes ${LOAD_AT_MOST} pieces at most.` }),
  room: z.strictObject(RoomFields).meta({ description: 'The inside of the kiln; of a round one both sides are its diameter' }),
  shelves: z
    .number()
    .int({ error: 'Shelves are counted in whole ones.' })
    .min(1)
    .max(SHELVES_AT_MOST, { error: `${SHELVES_AT_MOST} shelves at most.` })
    .default(1)
    .meta({ 'x-unit': '1' }),
  clear: z
    .strictObject({
      ...{ between_m: free('Between pieces'), wall_m: free('From the walls'), over_m: free('Over a piece') },
      elements_m: free('From elements').default(USUAL_CLEARANCES.elements_m),
      probe_m: free('Round the thermocouple').default(USUAL_CLEARANCES.probe_m),
    })
    .default(USUAL_CLEARANCES)
    .meta({ description: 'What has to be free' }),
  fixed: z
    .array(
      z.strictObject({
        item: placeIn(LOAD_AT_MOST, 'Pieces are named by their place in the list.'),
        shelf: placeIn(SHELVES_AT_MOST, 'Shelves are counted in whole ones.'),
        x_m: quantity('From the left wall', 'm', -5, 5),
        y_m: quantity('From the front', 'm', -5, 5),
        turned: z.boolean(),
      }),
    )
    .max(LOAD_AT_MOST)
    .default([])
    .meta({ description: 'What stays where it lies, at its middle' }),
});

export const answer = z.object({
  placed: z
    .array(
      z.object({
        item: count('Which of those sent'),
        shelf: count('From the lowest, 0'),
        ...{ x_m: figure('m', 'Of its middle, from the left wall'), y_m: figure('m', 'Of its middle, from the front'), turned: z.boolean() },
      }),
    )
    .meta({ description: 'What found room' }),
  left: z.array(count()).meta({ description: 'What found none' }),
  shelves: count('How many carry something'),
});

const tile = { wide_m: 0.18, long_m: 0.18, isRound: false, high_m: 0.006 };
export const cases = {
  'Four tiles, a disc and a bowl': {
    items: [tile, tile, tile, tile, { ...tile, isRound: true }, { ...tile, wide_m: 0.3, long_m: 0.3, high_m: 0.09 }],
    room: { wide_m: 0.5, long_m: 0.5, isRound: false, high_m: 0.3 },
    shelves: 2,
  },
  'Elements in the walls, a thermocouple through the back': {
    items: [tile, tile, tile],
    room: { wide_m: 0.6, long_m: 0.5, isRound: false, high_m: 0.3, elements: 'sides', probe: { from: 'back', reach_m: 0.05 }, post_m: 0.038 },
    shelves: 2,
  },
  'In a round kiln': { items: [tile, { ...tile, isRound: true }], room: { wide_m: 0.5, long_m: 0.5, isRound: true, high_m: null } },
} satisfies Record<string, z.input<typeof request>>;
