import { format } from 'date-fns/format';
import { addSeconds } from 'date-fns/addSeconds';
import { inZone } from '@/ui/clock';
import { timeTicks, trueTimeAxes } from './trueTime';

const HOUR_S = 3600;
const LISBON = 'Europe/Lisbon';
/** What the clock shows at each mark. */
const marks = (start: Date, hours: number, width: number): string[] =>
  timeTicks(trueTimeAxes(width, 200, hours * HOUR_S, 900), start).map((seconds) => format(addSeconds(start, seconds), 'd HH:mm'));

test('marks stand on full hours, as many as there is room for', () => {
  const start = inZone(Date.UTC(2026, 10, 3, 17, 20), LISBON);
  expect(marks(start, 4, 400)).toEqual(['3 18:00', '3 19:00', '3 20:00', '3 21:00']);
  expect(marks(start, 12, 400)).toEqual(['3 18:00', '3 21:00', '4 00:00', '4 03:00']);
  expect(marks(start, 100, 400)).toEqual(['4 00:00', '5 00:00', '6 00:00', '7 00:00']);
});

test('in the night in which the clocks are changed they stand there too', () => {
  // Back at 02:00: 01:00 comes twice; forward at 01:00: it never comes.
  expect(marks(inZone(Date.UTC(2026, 9, 24, 21), LISBON), 7, 700)).toEqual([
    '24 22:00',
    '24 23:00',
    '25 00:00',
    '25 01:00',
    '25 01:00',
    '25 02:00',
    '25 03:00',
    '25 04:00',
  ]);
  expect(marks(inZone(Date.UTC(2026, 2, 28, 22), LISBON), 6, 700)).toEqual([
    '28 22:00',
    '28 23:00',
    '29 00:00',
    '29 02:00',
    '29 03:00',
    '29 04:00',
    '29 05:00',
  ]);
  expect(marks(inZone(Date.UTC(2026, 9, 24, 17), LISBON), 24, 400)).toEqual(['24 18:00', '25 00:00', '25 06:00', '25 12:00']);
});
