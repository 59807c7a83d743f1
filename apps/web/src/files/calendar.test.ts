import ICAL from 'ical.js';
import { type ForCalendar, calendarOf } from './calendar';

const HOUR_S = 3600;
/** On the eve of the day on which the clocks of Lisbon go back, 24 October 2026, 23:00 there. */
const firing: ForCalendar = {
  id: '0198c5a2-0000-7000-8000-000000000001',
  what: 'Plaque no. 14, tack fuse; "blue"',
  kilnName: 'Low kiln',
  startsAt: Date.UTC(2026, 9, 24, 22),
  moments: { look: { from_s: 5 * HOUR_S, to_s: 5.4 * HOUR_S }, controlled_s: 12 * HOUR_S, opens_s: 16.02 * HOUR_S },
  opensBelow: '60 °C',
  caution: 'Power off before reaching in.',
};

/** Lines as they were before they were folded at 75 bytes. */
const lines = (of = firing): string[] =>
  calendarOf(of)
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n');
const valuesOf = (all: string[], name: string): string[] =>
  all.filter((line) => new RegExp(`^${name}[:;]`).test(line)).map((line) => line.slice(line.indexOf(':') + 1));

test('check, the end of what the controller does and opening are in it, over a change of clocks', () => {
  const all = lines();
  // Summer time ended at 01:00 UTC: 03:00 UTC is 03:00 in Lisbon, five hours after 23:00.
  expect(valuesOf(all, 'DTSTART')).toEqual(['20261025T030000Z', '20261025T100000Z', '20261025T140100Z']);
  expect(valuesOf(all, 'DTEND')).toEqual(['20261025T032400Z', '20261025T100100Z', '20261025T140200Z']);
  expect(valuesOf(all, 'SUMMARY')).toEqual(
    ['Check', 'The controller is done', 'May be opened'].map((title) => `${title}: Plaque no. 14\\, tack fuse\\; "blue"`),
  );
  expect(all.filter((line) => line === 'BEGIN:VALARM')).toHaveLength(3);
  expect([all[0], all.at(-2)]).toEqual(['BEGIN:VCALENDAR', 'END:VCALENDAR']);
});

test('a later file takes the place of an earlier one', () => {
  const [before, after] = [lines(), lines({ ...firing, startsAt: firing.startsAt + HOUR_S * 1000 })];
  expect(valuesOf(after, 'UID')).toEqual(valuesOf(before, 'UID'));
  expect(new Set(valuesOf(after, 'UID')).size).toBe(3);
});

test('another program reads it: every event with its alarm at its beginning, the words whole', () => {
  const read = new ICAL.Component(ICAL.parse(calendarOf(firing)));
  expect(read.getFirstPropertyValue('prodid')).toBe('-//Torvin//Firing times//EN');
  expect(read.getFirstPropertyValue('method')).toBeNull();
  const events = read.getAllSubcomponents('vevent');
  expect(events).toHaveLength(3);
  for (const event of events) {
    const { summary, startDate, endDate, sequence, uid } = new ICAL.Event(event);
    expect(summary).toMatch(/^(Check|The controller is done|May be opened): Plaque no\. 14, tack fuse; "blue"$/);
    expect(uid).toMatch(/^0198c5a2-0000-7000-8000-000000000001-(look|controlled|opens)@torvin$/);
    expect(sequence).toBeGreaterThan(1.7e9);
    expect(endDate.compare(startDate)).toBe(1);
    const alarms = event.getAllSubcomponents('valarm');
    expect(alarms.map((alarm) => alarm.getFirstPropertyValue('trigger')?.toString())).toEqual([startDate.toString()]);
    expect(alarms[0].getFirstPropertyValue('description')).toBe(summary);
    expect(alarms[0].getFirstPropertyValue('action')).toBe('DISPLAY');
  }
});
