import { format } from 'date-fns/format';
import { aheadWords, clockAfter, clockShort, dayAndClock, inZone, readClock, soon, zoneWords } from './clock';

describe('clock times', () => {
  const start = new Date(2026, 10, 23, 18, 30);

  test('show the hour, and the day once it is another', () => {
    expect(clockAfter(start, 2 * 3600)).toBe('20:30');
    expect(clockAfter(start, 12 * 3600 + 40 * 60)).toBe('Tue 07:10');
    expect(clockShort(start, 12 * 3600 + 40 * 60)).toBe('Tue 07:10');
  });

  test('say how far the clock that told them was from the server’s', () => {
    expect(aheadWords(0)).toBe('');
    expect(aheadWords(30 * 3600)).toBe(' by a clock 30 h 00 before the server’s');
    expect(aheadWords(-420)).toBe(' by a clock 7 min behind the server’s');
  });

  test('stand with their date beyond tomorrow, so that none is taken for another', () => {
    expect(clockAfter(start, 36 * 3600)).toBe('Wed 25 Nov, 06:30');
    expect(clockShort(start, 36 * 3600)).toBe('25 Nov 06:30');
    expect(clockShort(start, 12 * 24 * 3600)).toBe('5 Dec 18:30');
    expect(dayAndClock(new Date(2026, 10, 22, 23, 0), start)).toBe('Sun 23:00');
  });

  test('that were recorded elsewhere stay as the clock there showed them, through their days too', () => {
    // 18:30 in Lisbon, as this test's zone is, was 13:30 in New York.
    const there = inZone(start.getTime(), 'America/New_York');
    expect(format(there, 'd MMM HH:mm')).toBe('23 Nov 13:30');
    expect(clockAfter(there, 10 * 3600)).toBe('23:30');
    expect(clockAfter(there, 11 * 3600)).toBe('Tue 00:30');
    expect(zoneWords(start.getTime(), 'America/New_York')).toBe(' (New York time)');
    expect(zoneWords(start.getTime(), 'Europe/Lisbon')).toBe('');
    // The same clocks by another name need no word.
    expect(zoneWords(start.getTime(), 'Europe/London')).toBe('');
  });

  test('start at the next full five minutes', () => {
    expect(soon(new Date(2026, 10, 23, 18, 31, 2)).getMinutes()).toBe(35);
    expect(soon(start)).toEqual(start);
  });
});

describe('a time of day as it is typed', () => {
  const day = new Date(2026, 10, 23, 9, 15, 42);
  test.each([
    ['18:30', 18, 30],
    ['1830', 18, 30],
    ['6.30 pm', 18, 30],
    ['6pm', 18, 0],
    ['12 am', 0, 0],
    ['12:05 p.m.', 12, 5],
    [' 7 ', 7, 0],
    ['0:00', 0, 0],
  ])('%s', (typed, hours, minutes) => {
    expect(readClock(typed, day)).toEqual(new Date(2026, 10, 23, hours, minutes));
  });

  test.each(['', 'noon', '25:00', '18:75', '13 pm', '0 am'])("'%s' is none", (typed) => {
    expect(readClock(typed, day)).toBeNull();
  });
});
