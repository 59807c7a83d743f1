import { type BodyInput, bodyFigures } from '../../body/body';
import { coatingFindings } from '../../fit/coating';
import { contactsOf } from '../../fit/contacts';
import { calculator } from '../calculator';

/** Depth, mass and rest of a lay-up or a casting, and which of its glasses touch. */
export const body = calculator({
  compute: (input: BodyInput) => ({ ...bodyFigures(input), contacts: contactsOf(input), coatings: coatingFindings(input) }),
  contract: () => import('./contract'),
});
