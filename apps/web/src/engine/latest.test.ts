import { latestWins } from './latest';

/** A run that is answered by hand. */
function byHand() {
  const asked: number[] = [];
  const answers: ((value: string) => void)[] = [];
  const failures: ((error: Error) => void)[] = [];
  const run = (input: number): Promise<string> => {
    asked.push(input);
    return new Promise((resolve, reject) => {
      answers.push(resolve);
      failures.push(reject);
    });
  };
  return { asked, answers, failures, run };
}

const settle = () => new Promise((resolve) => setTimeout(resolve, 0));

test('while one runs, only the newest of those that come in is run next', async () => {
  const hand = byHand();
  const delivered: [string, number][] = [];
  const latest = latestWins(hand.run, (output, input) => delivered.push([output, input]), fail);
  for (const input of [1, 2, 3, 4]) latest.ask(input);
  expect(hand.asked).toEqual([1]);
  hand.answers[0]('one');
  await settle();
  expect(hand.asked).toEqual([1, 4]);
  hand.answers[1]('four');
  await settle();
  expect(delivered).toEqual([
    ['one', 1],
    ['four', 4],
  ]);
});

test('after a failure it goes on', async () => {
  const hand = byHand();
  const failed: unknown[] = [];
  const latest = latestWins(
    hand.run,
    () => undefined,
    (error) => failed.push(error),
  );
  latest.ask(1);
  latest.ask(2);
  hand.failures[0](new Error('no'));
  await settle();
  expect(failed).toHaveLength(1);
  expect(hand.asked).toEqual([1, 2]);
});

test('once stopped it delivers nothing more', async () => {
  const hand = byHand();
  const delivered: string[] = [];
  const latest = latestWins(hand.run, (output) => delivered.push(output), fail);
  latest.ask(1);
  latest.stop();
  hand.answers[0]('late');
  await settle();
  expect(delivered).toEqual([]);
});

function fail(error: unknown): void {
  throw error;
}
