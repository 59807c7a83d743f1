import { startTransition, useEffect, useState } from 'react';

/** False while a page is drawn first, true from then on: what it has below is drawn in pieces, and a touch in between is not kept waiting. */
export function useSoon(): boolean {
  const [soon, setSoon] = useState(false);
  useEffect(() => startTransition(() => setSoon(true)), []);
  return soon;
}
