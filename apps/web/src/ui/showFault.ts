/** A refusal is seen: what is wrong comes into sight, and its field has the cursor. */

/** Faults in the order of the page: under a field, or as a notice of their own. */
const FAULTS =
  '[data-testid$="-error"], [data-testid^="fault-"], [data-testid="plan-problem"], [data-testid="stale-choice"], [data-testid="gone-choice"], [data-testid="not-taken"]';
/** Until it is drawn, ms. */
const DRAWN_MS = 50;

export const showFault = (): void =>
  void setTimeout(() => {
    const fault = document.querySelector<HTMLElement>(FAULTS);
    if (!fault) return;
    fault.scrollIntoView({ block: 'center' });
    const field = (fault.dataset.testid ?? '').replace(/-error$/, '');
    document.querySelector<HTMLElement>(`input[data-testid="${field}"], textarea[data-testid="${field}"]`)?.focus({ preventScroll: true });
  }, DRAWN_MS);
