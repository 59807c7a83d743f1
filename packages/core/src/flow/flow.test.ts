import { SOFT_90 } from '../testCases';
import { viscosityOf } from '../glass/viscosity';
import { FULL_FUSE_WORK, equalHold, fullFuseWork, logViscosityFor, middleWork, rampsWorth } from './heatWork';
import { squeezeWork } from './squeeze';

const vft = viscosityOf(SOFT_90);

describe('equal work', () => {
  test('ten degrees more are a factor 2.0 from 593, 1.7 from 650, 1.44 from 740 and 1.33 from 804 °C', () => {
    const factor = (at: number): number => equalHold(vft, 1, at + 10, at);
    expect(factor(593)).toBeCloseTo(2.0, 1);
    expect(factor(650)).toBeCloseTo(1.7, 1);
    expect(factor(740)).toBeCloseTo(1.44, 1);
    expect(factor(804)).toBeCloseTo(1.33, 1);
  });

  test('a viscosity higher by 0.301 needs twice the hold', () => {
    expect(10 ** (logViscosityFor(1e-2, 1200) - logViscosityFor(1e-2, 600))).toBeCloseTo(2, 9);
    expect(logViscosityFor(1e-2, 1200) - logViscosityFor(1e-2, 600)).toBeCloseTo(0.301, 3);
  });

  test('ramps are worth their e-fold over their rate, against the integral', () => {
    const rate = 300 / 3600;
    let work = 0;
    for (let T = 400; T < 790; T += 0.05) work += (equalHold(vft, 1, 790, T + 0.025) ** -1 * 0.05) / rate;
    const closed = rampsWorth(vft, 790, rate, Infinity);
    expect(Math.abs(closed / work - 1)).toBeLessThan(0.12);
  });
});

describe('the work a look needs', () => {
  test('is that of the reference body for 3 mm sheets and grows with the sheet', () => {
    expect(fullFuseWork(SOFT_90, 0.003)).toEqual(FULL_FUSE_WORK);
    expect(fullFuseWork(SOFT_90, 0.006).least).toBeCloseTo(2 * FULL_FUSE_WORK.least, 12);
  });

  test('has its middle halfway in the logarithm', () => {
    const middle = middleWork(FULL_FUSE_WORK);
    expect(middle / FULL_FUSE_WORK.least).toBeCloseTo(FULL_FUSE_WORK.most / middle, 9);
  });
});

describe('the squeeze', () => {
  test('needs four times the work for twice the sheet and a sixteenth for twice the span', () => {
    const base = squeezeWork(SOFT_90, 0.003, { radius_m: 0.02, gap_m: 0.001 });
    expect(squeezeWork(SOFT_90, 0.006, { radius_m: 0.02, gap_m: 0.001 }) / base).toBeCloseTo(4, 9);
    expect(squeezeWork(SOFT_90, 0.003, { radius_m: 0.04, gap_m: 0.001 }) / base).toBeCloseTo(1 / 16, 9);
  });
});
