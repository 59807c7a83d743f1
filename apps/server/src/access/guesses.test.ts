/** How often a passcode may be guessed, and by whom. */
import { TooOften, countGuesses, whose } from './guesses';

let now = 0;
beforeEach(() => (now = 0));
const wrong = async () => null;
const right = async () => 'in';
const outcome = (told: Promise<string | null>): Promise<string> =>
  told.then(
    (one) => one ?? 'wrong',
    (error: unknown) => (error instanceof TooOften ? 'waits' : 'busy'),
  );

test('five wrong ones from an address, then it waits until a minute after the first; nobody else does', async () => {
  const guesses = countGuesses(() => now);
  for (let i = 0; i < 5; i += 1) {
    expect(await outcome(guesses.judge('203.0.113.1', wrong))).toBe('wrong');
    now += 1000;
  }
  expect(await outcome(guesses.judge('203.0.113.1', right))).toBe('waits');
  expect(await outcome(guesses.judge('203.0.113.2', right))).toBe('in');
  now = 59_999;
  expect(await outcome(guesses.judge('203.0.113.1', right))).toBe('waits');
  now = 60_001;
  expect(await outcome(guesses.judge('203.0.113.1', right))).toBe('in');
});

test('forty strangers who are wrong keep no newcomer out; only who has been wrong waits', async () => {
  const guesses = countGuesses(() => now);
  for (let i = 0; i < 41; i += 1) expect(await outcome(guesses.judge(`198.51.100.${i}`, wrong))).toBe('wrong');
  expect(await outcome(guesses.judge('198.51.100.7', right))).toBe('waits');
  expect(await outcome(guesses.judge('203.0.113.9', right))).toBe('in');
  now = 60_001;
  expect(await outcome(guesses.judge('198.51.100.7', right))).toBe('in');
});

test('one is looked at at a time, and each counts before the next', async () => {
  const guesses = countGuesses(() => now);
  let [at, most] = [0, 0];
  const slowly = async () => {
    most = Math.max(most, (at += 1));
    await new Promise((resolve) => setTimeout(resolve, 1));
    at -= 1;
    return null;
  };
  const told = await Promise.all(Array.from({ length: 60 }, () => outcome(guesses.judge('203.0.113.1', slowly))));
  expect([most, told.filter((one) => one === 'wrong').length, told.filter((one) => one === 'waits').length]).toEqual([1, 5, 55]);
});

test('very many at once are told to come again, and one that fails holds nobody up', async () => {
  const guesses = countGuesses(() => now);
  const told = await Promise.all(Array.from({ length: 150 }, (_, i) => outcome(guesses.judge(`10.0.${i}.1`, right))));
  expect([told.filter((one) => one === 'in').length, told.filter((one) => one === 'busy').length]).toEqual([100, 50]);
  await expect(guesses.judge('10.0.0.1', () => Promise.reject(new Error('no disk')))).rejects.toThrow('no disk');
  expect(await outcome(guesses.judge('10.0.0.1', right))).toBe('in');
});

test.each([
  ['203.0.113.1', '203.0.113.1'],
  ['::ffff:203.0.113.1', '203.0.113.1'],
  ['2001:db8:1:2:3:4:5:6', '2001:db8:1:2::/64'],
  ['2001:db8:1:2::9', '2001:db8:1:2::/64'],
  ['fe80::1%eth0', 'fe80:0:0:0::/64'],
  ['not an address', 'not an address'],
])('%s stands for %s', (address, who) => expect(whose(address)).toBe(who));
