import { readCorners, writtenCorners } from './corners';

test('corners take a unit for all of them', () => {
  expect(readCorners('0 0; 20 0; 0 12 cm', 'mm')).toEqual([
    [0, 0],
    [0.2, 0],
    [0, 0.12],
  ]);
  expect(readCorners('-1,0; 2,0; 0,3', 'in')?.map((corner) => corner.map((one) => Math.round(one / 0.00254) / 10))).toEqual([
    [-1, 0],
    [2, 0],
    [0, 3],
  ]);
  expect(readCorners('0 0; 1 1', 'mm')).toBeNull();
});

test('what is written is read back as it is, to the hundredth of a millimetre', () => {
  const corners: [number, number][] = [
    [-0.1, 0.02],
    [0.2, -0.01234],
    [0.05, 0.12],
  ];
  for (const unit of ['mm', 'in'] as const) {
    const back = readCorners(writtenCorners(corners, unit), 'mm');
    back?.forEach((corner, i) => corner.forEach((one, axis) => expect(Math.abs(one - corners[i][axis])).toBeLessThan(unit === 'mm' ? 6e-6 : 1.3e-4)));
    expect(back).toHaveLength(3);
  }
});
