/** What is weighed and reckoned at the bench: each is a sheet of Reckon and has a path of its own under quantities. A new one is added here. */
import type { QuantityName } from '../../quantity/names';
import type { Calculator } from '../calculator';
import { blank } from './blank';
import { conversions } from './conversions';
import { cutting } from './cutting';
import { fill } from './fill';
import { grains } from './grains';
import { howMuch } from './howMuch';
import { mixes } from './mixes';

export const QUANTITIES = { howMuch, fill, grains, mixes, cutting, blank, conversions } satisfies Record<
  QuantityName,
  Pick<Calculator<never, unknown, unknown>, 'compute'>
>;
