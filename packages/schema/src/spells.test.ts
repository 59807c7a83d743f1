import { SPELL_MS, listedVersions } from './spells';

const MINUTE = 60_000;
const version = (id: string, at: number, more: Partial<Parameters<typeof listedVersions>[0][number]> = {}) => ({
  id,
  name: '',
  stepId: 'a',
  parentId: null as string | null,
  origin: 'edited' as 'computed' | 'edited',
  createdAt: at,
  firings: 0,
  ...more,
});
const names = (versions: ReturnType<typeof version>[], used: string[], now: number): string[] =>
  listedVersions([...versions].reverse(), new Set(used), now).map(({ id }) => id);

describe('the versions that are listed', () => {
  const spell = Array.from({ length: 22 }, (_, i) => version(`e${i + 1}`, (i + 1) * 24_000, { parentId: i === 0 ? 'c' : `e${i}` }));
  const all = [version('c', 0, { origin: 'computed' }), ...spell];

  test('after nine minutes of editing are what was calculated and the one in use, not 23', () => {
    expect(names(all, ['e22'], 9 * MINUTE)).toEqual(['e22', 'c']);
    expect(listedVersions([...all].reverse(), new Set(['e22']), 9 * MINUTE)[0].parentId).toBe('c');
  });

  test('hold a version of the spell that was named or fired', () => {
    const told = all.map((one) => (one.id === 'e5' ? { ...one, name: 'crisper' } : one.id === 'e9' ? { ...one, firings: 1 } : one));
    expect(names(told, ['e22'], 9 * MINUTE)).toEqual(['e22', 'e9', 'e5', 'c']);
    expect(listedVersions([...told].reverse(), new Set(['e22']), 9 * MINUTE)[0].parentId).toBe('e9');
  });

  test('hold the last of a spell once it has been left', () => {
    expect(names(all, ['c'], 9 * MINUTE)).toEqual(['c']);
    expect(names(all, ['c'], 9 * MINUTE + SPELL_MS)).toEqual(['e22', 'c']);
    const later = [...all, version('f1', 9 * MINUTE + SPELL_MS), version('f2', 10 * MINUTE + SPELL_MS)];
    expect(names(later, ['f2'], 11 * MINUTE + SPELL_MS)).toEqual(['f2', 'e22', 'c']);
  });

  test('belong each to its own firing', () => {
    const two = [version('a1', 0), version('b1', MINUTE, { stepId: 'b' }), version('a2', 2 * MINUTE)];
    expect(names(two, ['a2', 'b1'], 3 * MINUTE)).toEqual(['a2', 'b1']);
  });
});
