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

  it.each([[{}], [{ DATABASE_URL: '' }], [{ DATABASE_URL: 'x', PORT: 'web' }], [{ DATABASE_URL: 'x', PORT: '70000' }]])(
    'is refused with a sentence: %j',
    (environment) => {
      expect(() => readConfig(environment)).toThrow(/DATABASE_URL|PORT/);
    },
  );
});
