/** A refusal is seen: what is wrong comes into sight, and its field has the cursor. */

/** Faults in the order of the page: under a field, or as a notice of their own. */
const FAULTS =
  '[data-testid$="-error"], [data-testid^="fault-"], [data-testid="plan-problem"], [data-testid="stale-choice"], [data-testid="gone-choice"], [data-testid="not-taken"]';
/** Until it is drawn, ms. */
const DRAWN_MS = 50;

/** Not above or below what is shown, nor under a bar. */
function isInSight(node: Element): boolean {
  const { left, top, width, height } = node.getBoundingClientRect();
  const seen = document.elementFromPoint(left + width / 2, top + height / 2);
  return seen !== null && (node.contains(seen) || seen.contains(node));
}

/** What stays at the top while the page scrolls may lie over its head. */
function uncover(node: Element): void {
  const { left, top, width } = node.getBoundingClientRect();
  let over = document.elementFromPoint(left + width / 2, top + 1);
  while (over && getComputedStyle(over).position !== 'sticky') over = over.parentElement;
  if (!over || over.contains(node)) return;
  node.closest('[data-testid="screen-scroll"]')?.scrollBy(0, top - over.getBoundingClientRect().bottom);
}

/** Of one that is drawn already. */
export function showDrawnFault(): void {
  const fault = document.querySelector<HTMLElement>(FAULTS);
  if (!fault) return;
  // One that is in sight already stays where it is: nothing moves under a finger.
  if (!isInSight(fault)) {
    fault.scrollIntoView({ block: 'center' });
    uncover(fault);
  }
  const field = (fault.dataset.testid ?? '').replace(/-error$/, '');
  document.querySelector<HTMLElement>(`input[data-testid="${field}"], textarea[data-testid="${field}"]`)?.focus({ preventScroll: true });
}

export const showFault = (): void => void setTimeout(showDrawnFault, DRAWN_MS);
