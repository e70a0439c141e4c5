import { describe, expect, it } from '@jest/globals';
import { readConfig } from './config.js';

describe('the environment', () => {
  it('gives loopback and the usual port', () => {
    expect(readConfig({ DATABASE_URL: 'postgres://x' })).toMatchObject({ host: '127.0.0.1', port: 4780, seed: true });
    expect(readConfig({ DATABASE_URL: 'postgres://x', PORT: '0', VITRUM_SEED: 'off' })).toMatchObject({
      port: 0,
      seed: false,
    });
  });

  it('opens to the network only when it is told to in so many words, and says why', () => {
    const open = { DATABASE_URL: 'postgres://x', HOST: '0.0.0.0' };
    expect(() => readConfig(open)).toThrow(/no accounts yet.*VITRUM_ALLOW_NETWORK=yes/);
    expect(() => readConfig({ ...open, VITRUM_ALLOW_NETWORK: '1' })).toThrow(/VITRUM_ALLOW_NETWORK/);
    const told = readConfig({ ...open, VITRUM_ALLOW_NETWORK: 'yes', VITRUM_HOSTS: 'shop.lan, bench.lan' });
    expect([told.host, told.hosts]).toEqual(['0.0.0.0', ['shop.lan', 'bench.lan']]);
  });

  it.each([[{}], [{ DATABASE_URL: '' }], [{ DATABASE_URL: 'x', PORT: 'web' }], [{ DATABASE_URL: 'x', PORT: '70000' }]])(
    'is refused with a sentence: %j',
    (environment) => {
      expect(() => readConfig(environment)).toThrow(/DATABASE_URL|PORT/);
    },
  );
});
