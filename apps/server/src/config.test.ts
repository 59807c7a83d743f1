import { configFrom } from './config';

describe('settings from the environment', () => {
  test('have defaults on loopback and beside the program', () => {
    const folders = { dataDir: '/torvin/data', backupsDir: '/torvin/data/backups' };
    const usual = {
      ...folders,
      port: 4310,
      portAlone: false,
      host: '127.0.0.1',
      start: 'demo',
      beginAnew: false,
      fresh: false,
      names: [],
      trustsLoopback: true,
      tls: null,
    };
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

  test('say when a connection from this machine is trusted: where Torvin listens on it alone, by no further name, and nothing else was said', () => {
    const trusts = (env: NodeJS.ProcessEnv): boolean => configFrom(env, '/torvin').trustsLoopback;
    expect([{}, { TORVIN_HOST: 'localhost' }, { TORVIN_HOST: '::1' }].map(trusts)).toEqual([true, true, true]);
    const others = [{ TORVIN_TRUST_LOOPBACK: '0' }, { TORVIN_HOST: '0.0.0.0' }, { TORVIN_HOST: '192.0.2.7' }, { TORVIN_NAMES: 'kiln.example' }];
    expect(others.map(trusts)).toEqual([false, false, false, false]);
    expect(() => trusts({ TORVIN_TRUST_LOOPBACK: '1' })).toThrow("TORVIN_TRUST_LOOPBACK can be set to 0 only; got '1'.");
  });

  test('take a certificate with its key, and neither alone', () => {
    expect(configFrom({ TORVIN_CERT: 'own.crt', TORVIN_KEY: '/keys/own.key' }, '/torvin').tls).toEqual({ cert: '/torvin/own.crt', key: '/keys/own.key' });
    expect(() => configFrom({ TORVIN_CERT: 'own.crt' }, '/torvin')).toThrow(/both are needed/);
  });

  test.each(['0', '70000', 'eighty', ''])("refuse the port '%s' with a sentence", (TORVIN_PORT) => {
    expect(() => configFrom({ TORVIN_PORT }, '/torvin')).toThrow(/from 1 to 65535/);
  });
});
