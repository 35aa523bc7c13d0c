import { describe, expect, it } from 'vitest';
import { readConfig } from './config';

const good = { DATABASE_URL: 'mariadb://u:p@127.0.0.1:3306/shop', SESSION_SECRET: 'x'.repeat(32) };
const wrong = (environment: Record<string, string>) => {
  const read = readConfig({ ...good, ...environment });
  return 'wrong' in read ? read.wrong : [];
};

describe('the configuration from the environment', () => {
  it('fills in what is usual', () => {
    expect(readConfig(good)).toMatchObject({
      config: { PORT: 4780, HOST: '127.0.0.1', NODE_ENV: 'production', SIMULATION_RATE: 1 },
    });
  });
  it('reads numbers', () => {
    expect(readConfig({ ...good, PORT: '80', TRUST_PROXY: '2' })).toMatchObject({
      config: { PORT: 80, TRUST_PROXY: 2 },
    });
  });
  it.each([
    [{ DATABASE_URL: 'postgres://x/y' }, 'DATABASE_URL'],
    [{ DATABASE_URL: 'nonsense' }, 'DATABASE_URL'],
    [{ SESSION_SECRET: 'short' }, 'SESSION_SECRET'],
    [{ PORT: 'eighty' }, 'PORT'],
    [{ PORT: '70000' }, 'PORT'],
    [{ LOG_LEVEL: 'loud' }, 'LOG_LEVEL'],
    [{ PUBLIC_URL: 'ftp://shop' }, 'PUBLIC_URL'],
    [{ SIMULATION_RATE: '0' }, 'SIMULATION_RATE'],
  ])('%j names the wrong value', (environment, name) => {
    const lines = wrong(environment);
    expect(lines).toHaveLength(1);
    expect(lines[0]).toMatch(new RegExp(`^${name}: `));
  });
  it('https wants to be told of the proxy that speaks it, for sign-in cookies depend on it', () => {
    expect(wrong({ PUBLIC_URL: 'https://shop.example' })[0]).toMatch(
      /^TRUST_PROXY: .*a proxy stands in front/,
    );
    expect(wrong({ PUBLIC_URL: 'https://shop.example', TRUST_PROXY: '1' })).toEqual([]);
  });
  it('names every wrong value at once', () => {
    const read = readConfig({});
    expect('wrong' in read && read.wrong.map((line) => line.split(':')[0])).toEqual([
      'DATABASE_URL',
      'SESSION_SECRET',
    ]);
  });
});
