/**
 * Makes a schedule fit the memory of a controller. Neighbours are joined into one segment that goes to the second one's
 * target at the slower of their rates, so that nothing happens faster than before; what costs the least time goes first.
 */
import { keyIn } from '../controller/keyIn';
import type { Controller } from '../controller/profile';
import type { PurposefulSegment, Role } from '../kiln/segment';

/** Which segment may be taken into the one after it, the cheapest first. The squeeze and the soak hold something and stay. */
const JOINED_INTO_NEXT: readonly Role[] = ['secondCool', 'firstCool', 'warmUp'];

export function shortened(segments: PurposefulSegment[], controller: Controller): { segments: PurposefulSegment[]; remarks: string[] } {
  let now = segments;
  const remarks: string[] = [];
  for (const role of JOINED_INTO_NEXT) {
    if (keyIn(now, controller).rows.length <= controller.mostSegments) break;
    const at = now.findIndex((segment) => segment.role === role && segment.hold_s === 0);
    if (at < 0 || at === now.length - 1) continue;
    const [one, next] = [now[at], now[at + 1]];
    const rate_C_per_h = Math.min(one.rate_C_per_h ?? Infinity, next.rate_C_per_h ?? Infinity);
    now = [...now.slice(0, at), { ...next, role: role === 'warmUp' ? next.role : role, rate_C_per_h }, ...now.slice(at + 2)];
    remarks.push(`Segments ${at + 1} and ${at + 2} are joined at the slower rate, because the controller holds ${controller.mostSegments}.`);
  }
  const { rows, remarks: keying } = keyIn(now, controller);
  if (rows.length > controller.mostSegments) remarks.push(`The schedule still has ${rows.length} segments to key.`);
  return { segments: now, remarks: [...remarks, ...keying.filter(({ kind }) => kind === 'cannot').map(({ message }) => message)] };
}
