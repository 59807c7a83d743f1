import { entryOfLesson, lessonOf } from './LessonFields';

const none = { leftOut: false, controller: '', glass: '' };

test('nothing typed is no reading; what was said comes back as it was written', () => {
  expect(lessonOf(none, null, 'C')).toEqual({ lesson: { leftOut: false, by: null, witness: null } });
  const witness = { controller_C: 800, glass_C: 790 };
  const entry = entryOfLesson({ leftOut: true, by: 'far', witness }, 'C');
  expect(entry).toEqual({ leftOut: true, controller: '800 °C', glass: '790 °C' });
  expect(lessonOf(entry, 'far', 'C')).toEqual({ lesson: { leftOut: true, by: 'far', witness } });
});

test('is read in the unit of the studio, or in the one that is written', () => {
  const read = lessonOf({ ...none, controller: '1454', glass: '784 °C' }, null, 'F');
  expect('lesson' in read && read.lesson.witness?.controller_C).toBeCloseTo(790, 6);
  expect('lesson' in read && read.lesson.witness?.glass_C).toBeCloseTo(784, 6);
  expect(lessonOf({ ...none, controller: '80', glass: '80' }, null, 'F')).toMatchObject({
    fault: { message: expect.stringMatching(/from 212 °F to 3092 °F/) },
  });
});

test.each([
  ['800', '', 'glass', /./],
  ['', '800', 'controller', /./],
  ['hot', '800', 'controller', /hot/],
  ['20', '20', 'controller', /A reading of 20 °C is none of a firing; it must be from 100 °C to 1700 °C/],
  ['800', '700', 'glass', /at most 60 °C \(108 °F\) apart/],
])('controller %j and glass %j are refused at the %s', (controller, glass, field, message) => {
  expect(lessonOf({ ...none, controller, glass }, null, 'C')).toMatchObject({ fault: { field, message: expect.stringMatching(message) } });
});
