import { configFrom } from './config';

describe('settings from the environment', () => {
  test('have defaults on loopback and beside the program', () => {
    const folders = { dataDir: '/torvin/data', backupsDir: '/torvin/data/backups' };
    const usual = { ...folders, port: 4310, host: '127.0.0.1', start: 'demo', beginAnew: false, fresh: false, names: [], tls: null };
    expect(configFrom({}, '/torvin')).toEqual(usual);
  });

  test('take port and folder, absolute or not', () => {
    expect(configFrom({ TORVIN_PORT: '5000', TORVIN_DATA: '/srv/glass' }, '/torvin')).toMatchObject({ port: 5000, dataDir: '/srv/glass' });
    expect(configFrom({ TORVIN_DATA: 'elsewhere' }, '/torvin')).toMatchObject({ dataDir: '/torvin/elsewhere', backupsDir: '/torvin/elsewhere/backups' });
    expect(configFrom({ TORVIN_BACKUPS: '/mnt/stick' }, '/torvin').backupsDir).toBe('/mnt/stick');
  });

  test('say what an empty folder starts as, and nothing else', () => {
    expect(configFrom({ TORVIN_START: 'own' }, '/torvin').start).toBe('own');
    expect(() => configFrom({ TORVIN_START: 'mine' }, '/torvin')).toThrow(/demo or own; got 'mine'/);
  });

  test('come from the environment alone: a word on the line is refused', () => {
    expect(() => configFrom({}, '/torvin', ['--help'])).toThrow(/no words; got '--help'/);
  });

  test('take the names a browser may use, however they are spaced', () => {
    expect(configFrom({ TORVIN_NAMES: 'Kiln.local, studio' }, '/torvin').names).toEqual(['kiln.local', 'studio']);
  });

  test('take a certificate with its key, and neither alone', () => {
    expect(configFrom({ TORVIN_CERT: 'own.crt', TORVIN_KEY: '/keys/own.key' }, '/torvin').tls).toEqual({ cert: '/torvin/own.crt', key: '/keys/own.key' });
    expect(() => configFrom({ TORVIN_CERT: 'own.crt' }, '/torvin')).toThrow(/both are needed/);
  });

  test.each(['0', '70000', 'eighty', ''])("refuse the port '%s' with a sentence", (TORVIN_PORT) => {
    expect(() => configFrom({ TORVIN_PORT }, '/torvin')).toThrow(/from 1 to 65535/);
  });
});
