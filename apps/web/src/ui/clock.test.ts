import { clockAfter, soon } from './clock';

describe('clock times', () => {
  const start = new Date(2026, 10, 23, 18, 30);

  test('show the hour, and the day once it is another', () => {
    expect(clockAfter(start, 2 * 3600)).toBe('20:30');
    expect(clockAfter(start, 12 * 3600 + 40 * 60)).toBe('Tue 07:10');
  });

  test('start at the next full five minutes', () => {
    expect(soon(new Date(2026, 10, 23, 18, 31, 2)).getMinutes()).toBe(35);
    expect(soon(start)).toEqual(start);
  });
});
