import { NO_LESSON } from '@torvin/schema';
import { entryOfLesson, lessonOf } from './LessonFields';

const none = { leftOut: false, controller: '', glass: '' };

test('nothing typed is no reading; what was said comes back as it was written', () => {
  expect(lessonOf(none, null, 'C', NO_LESSON)).toEqual({ lesson: { leftOut: false, by: null, witness: null } });
  const witness = { controller_C: 800, glass_C: 790 };
  const entry = entryOfLesson({ leftOut: true, by: 'far', witness }, 'C');
  expect(entry).toEqual({ leftOut: true, controller: '800 °C', glass: '790 °C' });
  expect(lessonOf(entry, 'far', 'C', NO_LESSON)).toEqual({ lesson: { leftOut: true, by: 'far', witness } });
});

test('a reading that was only looked at keeps its digits in either unit; one that was typed over is read', () => {
  const before = { ...NO_LESSON, witness: { controller_C: 784.4444444444445, glass_C: 779.1234567 } };
  for (const unit of ['C', 'F'] as const) {
    const entry = entryOfLesson(before, unit);
    expect(lessonOf(entry, null, unit, before)).toEqual({ lesson: before });
    expect(lessonOf({ ...entry, glass: '780 °C' }, null, unit, before)).toEqual({
      lesson: { ...before, witness: { controller_C: 784.4444444444445, glass_C: 780 } },
    });
  }
});

test('is read in the unit of the studio, or in the one that is written', () => {
  const read = lessonOf({ ...none, controller: '1454', glass: '784 °C' }, null, 'F', NO_LESSON);
  expect('lesson' in read && read.lesson.witness?.controller_C).toBeCloseTo(790, 6);
  expect('lesson' in read && read.lesson.witness?.glass_C).toBeCloseTo(784, 6);
  expect(lessonOf({ ...none, controller: '80', glass: '80' }, null, 'F', NO_LESSON)).toMatchObject({
    fault: { message: expect.stringMatching(/from 212 °F to 3092 °F/) },
  });
});

test.each([
  ['800', '', 'glass', /./],
  ['', '800', 'controller', /./],
  ['hot', '800', 'controller', /hot/],
  ['20', '20', 'controller', /The reading is 20 °C; it must be from 100 °C to 1700 °C/],
  ['800', '700', 'glass', /at most 60 °C \(108 °F\) apart/],
])('controller %j and glass %j are refused at the %s', (controller, glass, field, message) => {
  expect(lessonOf({ ...none, controller, glass }, null, 'C', NO_LESSON)).toMatchObject({ fault: { field, message: expect.stringMatching(message) } });
});
