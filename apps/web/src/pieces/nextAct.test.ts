import { type ActState, nextActFor } from './nextAct';

const ready: ActState = { firing: { id: 'a', scheduleId: 's' }, fired: {}, isNext: true, isOutdated: false, isKeyed: false, isOver: false };

test.each<[string, Partial<ActState>, string]>([
  ['nothing planned', { firing: undefined }, 'plan'],
  ['planned without a schedule', { firing: { id: 'a', scheduleId: null } }, 'plan'],
  ['next, with a schedule', {}, 'keyIn'],
  ['next, in a program already', { isKeyed: true }, 'start'],
  ['in a program, but out of date', { isKeyed: true, isOutdated: true }, 'see'],
  ['still to come', { isNext: false, isKeyed: true }, 'see'],
  ['in the kiln', { fired: { a: null } }, 'watch'],
  ['in the kiln, out of date since', { fired: { a: null }, isOutdated: true }, 'watch'],
  ['cooled', { fired: { a: null }, isOver: true }, 'record'],
  ['came out short', { fired: { a: 'short' }, isKeyed: true }, 'see'],
  ['came out right', { fired: { a: 'right' }, isNext: false }, 'see'],
  ['over without being in the kiln', { isOver: true }, 'keyIn'],
])('%s', (_, part, act) => {
  expect(nextActFor({ ...ready, ...part })).toBe(act);
});
