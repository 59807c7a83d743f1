import type { ForKiln } from '@torvin/schema';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { WhatGoes } from './WhatGoes';

const many = (count: number): ForKiln[] =>
  Array.from({ length: count }, (_, i) => ({
    ...{ pieceId: `p${i}`, pieceName: i % 10 === 3 ? `Bowl ${i}` : `Tile ${i}`, stepId: 's', look: 'fullFuse', kilnId: 'k', scheduleId: `s${i}` },
    ...{ familyId: 'f', damp: false, total_s: 36_000, dueOn: i === 29 ? '2026-12-24' : null },
  }));

function Page({ waiting, begun = [] }: { waiting: ForKiln[]; begun?: string[] }) {
  const [ids, setIds] = useState<readonly string[]>(begun);
  const toggle = ({ pieceId }: ForKiln) => setIds((now) => (now.includes(pieceId) ? now.filter((id) => id !== pieceId) : [...now, pieceId]));
  return (
    <QueryClientProvider client={new QueryClient()}>
      <WhatGoes waiting={waiting} ids={ids} alone_s={({ total_s }) => total_s} onToggle={toggle} />
    </QueryClientProvider>
  );
}

const rows = (): string[] => screen.getAllByRole('checkbox').map(({ dataset }) => String(dataset.testid).replace('load-piece-', ''));
const isOn = (id: string): boolean => screen.getByTestId(`load-piece-${id}`).getAttribute('aria-checked') === 'true';

test('of many that wait a few are shown, what is due first before the others, and more by a touch', () => {
  render(<Page waiting={many(30)} />);
  expect(rows()).toEqual(['p29', ...Array.from({ length: 11 }, (_, i) => `p${i}`)]);
  fireEvent.click(screen.getByTestId('load-more'));
  expect(rows()).toHaveLength(24);
  expect(screen.getByTestId('load-more').textContent).toMatch(/Show 6 more/);
  fireEvent.click(screen.getByTestId('load-more'));
  expect(rows()).toHaveLength(30);
  expect(screen.queryByTestId('load-more')).toBeNull();
});

test('what is chosen stays in sight whatever is sought, and keeps its row where it is let go', () => {
  render(<Page waiting={many(30)} begun={['p20']} />);
  expect(rows()).toHaveLength(13);
  fireEvent.click(screen.getByTestId('load-piece-p5'));
  fireEvent.change(screen.getByTestId('load-find'), { target: { value: 'BOWL 2' } });
  expect(rows()).toEqual(['p5', 'p20', 'p23']);
  expect(['p5', 'p20', 'p23'].map(isOn)).toEqual([true, true, false]);
  fireEvent.click(screen.getByTestId('load-piece-p5'));
  expect(rows()).toEqual(['p5', 'p20', 'p23']);
  expect(isOn('p5')).toBe(false);
});

test('few that wait are all there, with nothing to find them by', () => {
  render(<Page waiting={many(12)} />);
  expect(rows()).toHaveLength(12);
  expect(screen.queryByTestId('load-find')).toBeNull();
});
