/** Which program it is keyed into is told when it is known what stands there, and not before: another piece's could be keyed over. */
import { TYPICAL_CONTROLLERS } from '@torvin/core';
import { render, screen } from '@testing-library/react';
import { InProgram } from './InProgram';

const asked = { controller: TYPICAL_CONTROLLERS[0], scheduleId: 's', rows: [], programs: [], slot: 3, onSlot: () => undefined };

test('no program is named while they are read', () => {
  const shown = render(<InProgram {...asked} coming />);
  expect(shown.container.textContent).toMatch(/Looking which program is free/);
  expect(shown.container.textContent).not.toMatch(/3|nothing/);
  shown.rerender(<InProgram {...asked} coming={false} />);
  expect(screen.getByTestId('slot').textContent).toBe('Program 3');
  expect(screen.getByTestId('slot-stands').textContent).toMatch(/nothing that Torvin knows of/);
});
