import { configFrom } from './config';

describe('settings from the environment', () => {
  test('have defaults on loopback and beside the program', () => {
    const usual = { port: 4310, host: '127.0.0.1', dataDir: '/torvin/data', start: 'demo', beginAnew: false, fresh: false, names: [] };
    expect(configFrom({}, '/torvin')).toEqual(usual);
  });

  test('take port and folder, absolute or not', () => {
    expect(configFrom({ TORVIN_PORT: '5000', TORVIN_DATA: '/srv/glass' }, '/torvin')).toMatchObject({ port: 5000, dataDir: '/srv/glass' });
    expect(configFrom({ TORVIN_DATA: 'elsewhere' }, '/torvin').dataDir).toBe('/torvin/elsewhere');
  });

  test('say what an empty folder starts as, and nothing else', () => {
    expect(configFrom({ TORVIN_START: 'own' }, '/torvin').start).toBe('own');
    expect(() => configFrom({ TORVIN_START: 'mine' }, '/torvin')).toThrow(/demo or own; got 'mine'/);
  });

  test('take the names a browser may use, however they are spaced', () => {
    expect(configFrom({ TORVIN_NAMES: 'Kiln.local, studio' }, '/torvin').names).toEqual(['kiln.local', 'studio']);
  });

  test.each(['0', '70000', 'eighty', ''])("refuse the port '%s' with a sentence", (TORVIN_PORT) => {
    expect(() => configFrom({ TORVIN_PORT }, '/torvin')).toThrow(/from 1 to 65535/);
  });
});
