import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { readAnew } from './keys';

/** A list whose answers are given by hand, as the server would: each is of the moment when it was made. */
function shown() {
  const client = new QueryClient();
  const answers: ((list: string[]) => void)[] = [];
  const queryFn = () => new Promise<string[]>((resolve) => answers.push(resolve));
  const observer = new QueryObserver(client, { queryKey: ['list'], queryFn, retry: false });
  const stop = observer.subscribe(() => undefined);
  const settled = () => new Promise((resolve) => setTimeout(resolve, 20));
  return { client, answers, observer, stop, settled };
}

describe('after a change', () => {
  test('a first reading that was answered before it does not stay', async () => {
    const { client, answers, observer, stop, settled } = shown();
    const anew = readAnew(client, ['list']);
    await settled();
    expect(answers).toHaveLength(2);
    answers[0](['before']);
    answers[1](['before', 'after']);
    await anew;
    expect(observer.getCurrentResult().data).toEqual(['before', 'after']);
    stop();
  });

  test('what is shown stays until the new reading comes', async () => {
    const { client, answers, observer, stop, settled } = shown();
    answers[0](['before']);
    await settled();
    const anew = readAnew(client, ['list']);
    await settled();
    expect(observer.getCurrentResult()).toMatchObject({ data: ['before'], isFetching: true });
    answers[1](['after']);
    await anew;
    expect(observer.getCurrentResult().data).toEqual(['after']);
    stop();
  });
});
