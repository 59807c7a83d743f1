/** Which program it is keyed into is told when it is known what stands there, and not before: another piece's could be keyed over. */
import { TYPICAL_CONTROLLERS } from '@torvin/core/controller';
import { render, screen } from '@testing-library/react';
import { InProgram } from './InProgram';

const asked = { controller: TYPICAL_CONTROLLERS[0], scheduleId: 's', rows: [], programs: [], slot: 3, onSlot: () => undefined };

test('no program is named while they are read', () => {
  const shown = render(<InProgram {...asked} coming />);
  expect(shown.container.textContent).toMatch(/looking which one is free/);
  expect(shown.container.textContent).not.toMatch(/3|nothing/);
  shown.rerender(<InProgram {...asked} coming={false} />);
  expect(screen.getByTestId('slot').textContent).toBe('Program 3');
  expect(screen.getByTestId('slot-stands').textContent).toMatch(/nothing that Torvin knows of/);
});

test('a controller of one program is asked nothing, read or not', () => {
  const single = { ...TYPICAL_CONTROLLERS[0], programs: 1, builtIn: 0 };
  expect(render(<InProgram {...asked} controller={single} slot={1} coming />).container.textContent).toBe('');
});
