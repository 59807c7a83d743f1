import type { UnevenBody } from '../../field/body';
import { steadyCooling } from '../../field/cooling';
import { calculator } from '../calculator';

/** What a body of changing depth does while it cools steadily. */
export const field = calculator({ compute: (input: UnevenBody) => steadyCooling(input), contract: () => import('./contract') });
