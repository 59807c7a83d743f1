import type { Outcome } from '@torvin/core/problem';
import { formatDuration, formatLength, formatMass, parseDuration, parseLength, parseMass, type Figure } from '@torvin/core/units';
import { fireEvent, render, screen } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { nextOf, stepFrom } from './stepFrom';
import { Stepper } from './Stepper';

function shown(onValue: (value: number) => void, read: (typed: string) => Outcome<number> = (typed) => parseDuration(typed)): void {
  const figure: Figure = formatDuration(720);
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Stepper label="hold" shown={figure} read={read} stepped={(direction) => 720 + direction * 60} onValue={onValue} testID="hold" />
    </QueryClientProvider>,
  );
}

describe('a figure to step or type', () => {
  test('steps by its buttons', () => {
    const values: number[] = [];
    shown((value) => values.push(value));
    fireEvent.click(screen.getByTestId('hold-more'));
    fireEvent.click(screen.getByTestId('hold-less'));
    expect(values).toEqual([780, 660]);
  });

  test('takes what was typed when the field is left', () => {
    const values: number[] = [];
    shown((value) => values.push(value));
    fireEvent.change(screen.getByTestId('hold'), { target: { value: '0:20' } });
    expect(values).toEqual([]);
    fireEvent.blur(screen.getByTestId('hold'));
    expect(values).toEqual([1200]);
  });

  test('says under it what cannot be read, and keeps it', () => {
    const values: number[] = [];
    shown((value) => values.push(value));
    fireEvent.change(screen.getByTestId('hold'), { target: { value: 'long' } });
    fireEvent.blur(screen.getByTestId('hold'));
    expect(screen.getByTestId('hold-error').textContent).toMatch(/'long' is not a time/);
    expect((screen.getByTestId('hold') as HTMLInputElement).value).toBe('long');
    expect(values).toEqual([]);
  });
});

describe('steps', () => {
  test.each([
    [790, 1, 5, 795],
    [788, 1, 5, 790],
    [788, -1, 5, 785],
    [12, -1, 1, 11],
    [3.5, 1, 0.5, 4],
  ] as const)('from %s by %s times %s land on %s', (value, direction, size, next) => {
    expect(stepFrom(value, direction, size)).toBeCloseTo(next, 9);
  });
});

test('what was typed is read in the unit it was typed in, where the studio goes over before the field is left', () => {
  const values: number[] = [];
  const client = new QueryClient();
  const stepper = (unit: 'mm' | 'in') => (
    <QueryClientProvider client={client}>
      <Stepper
        label="deep"
        shown={formatLength(0.006, unit)}
        read={(typed) => parseLength(typed, unit)}
        stepped={() => 0.006}
        onValue={(value) => values.push(value)}
        testID="deep"
      />
    </QueryClientProvider>
  );
  const { rerender } = render(stepper('mm'));
  fireEvent.change(screen.getByTestId('deep'), { target: { value: '12' } });
  rerender(stepper('in'));
  fireEvent.blur(screen.getByTestId('deep'));
  fireEvent.change(screen.getByTestId('deep'), { target: { value: '1' } });
  fireEvent.blur(screen.getByTestId('deep'));
  expect(values).toEqual([0.012, 0.0254]);
});

test('a bare number is in the unit that stands beside it, in pounds and kilograms too', () => {
  const values: number[] = [];
  render(
    <QueryClientProvider client={new QueryClient()}>
      {(['g', 'oz'] as const).map((unit) => (
        <Stepper
          key={unit}
          label="of"
          shown={formatMass(2, unit)}
          read={(typed) => parseMass(typed, unit)}
          stepped={() => 2}
          onValue={(value) => values.push(value)}
          testID={unit}
        />
      ))}
    </QueryClientProvider>,
  );
  for (const unit of ['g', 'oz']) {
    for (const typed of ['3', '3 oz']) {
      fireEvent.change(screen.getByTestId(unit), { target: { value: typed } });
      fireEvent.blur(screen.getByTestId(unit));
    }
  }
  const ounce = 0.028349523125;
  expect(values.map((value) => value / ounce)).toEqual([expect.closeTo(3 / ounce, 6), expect.closeTo(3, 9), expect.closeTo(48, 9), expect.closeTo(3, 9)]);
});

test('where a step would lead nowhere its button cannot be pressed', () => {
  const sizes_m = [0.002, 0.003, 0.006];
  render(
    <QueryClientProvider client={new QueryClient()}>
      {sizes_m.map((value) => (
        <Stepper
          key={value}
          label="deep"
          shown={formatLength(value, 'mm')}
          read={(typed) => parseLength(typed, 'mm')}
          stepped={(direction) => nextOf(sizes_m, value, direction)}
          value={value}
          onValue={() => undefined}
          testID={`deep-${value}`}
        />
      ))}
    </QueryClientProvider>,
  );
  const isOff = (testId: string): boolean =>
    screen.getByTestId(testId).getAttribute('aria-disabled') === 'true' || screen.getByTestId(testId).hasAttribute('disabled');
  expect(sizes_m.map((value) => [isOff(`deep-${value}-less`), isOff(`deep-${value}-more`)])).toEqual([
    [true, false],
    [false, false],
    [false, true],
  ]);
});
