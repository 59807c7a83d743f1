/** Moulds and formers that are broken, dug or soaked away after one firing: how many are left of those that were made or bought. */
interface UsedOnce {
  once?: boolean;
  count: number;
}

/** Null of a form that is used again; never less than none. */
export const leftToUse = ({ once, count }: UsedOnce, fired: number): number | null => (once ? Math.max(count - fired, 0) : null);

/** '2 of 5 are left.'; '' of a form that is used again. */
export function leftWords(form: UsedOnce, fired: number): string {
  const left = leftToUse(form, fired);
  if (left === null) return '';
  if (left === 0) return `Used once each, and all ${form.count} have been fired: make or buy more, and write down how many there are.`;
  return `Used once each: ${left} of ${form.count} ${left === 1 ? 'is' : 'are'} left.`;
}
