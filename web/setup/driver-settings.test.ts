import type { DriverSetting } from '@dusk-wren/contract';
import { describe, expect, it } from 'vitest';
import { asKept, isThere, rowsOf, settingsQuery, wrongOf } from './driver-settings';

const address: DriverSetting = { name: 'address', label: 'Address', is: 'address', usual: '127.0.0.1' };
const port: DriverSetting = {
  ...{ name: 'port', label: 'Port', is: 'number' },
  ...{ least: 1, most: 65_535, usual: 502, whole: true },
};
const row = (of: string): DriverSetting[] => [
  {
    ...{ name: `${of}: table`, label: 'In', of, is: 'choice' },
    ...{ options: ['input registers', 'not there'], usual: 'input registers' },
  },
  { name: `${of}: scale`, label: 'Times', of, is: 'number', least: -10, most: 10, usual: 1 },
];
const all = [address, port, ...row('pressure'), ...row('leak')];

describe('settings of a driver', () => {
  it('of the whole device stand by themselves, those of a value in its row', () => {
    const { own, columns, rows } = rowsOf(all);
    expect(own).toEqual([address, port]);
    expect(columns).toEqual(['In', 'Times']);
    expect(rows.map(({ of, settings }) => [of, settings.length])).toEqual([
      ['pressure', 2],
      ['leak', 2],
    ]);
  });
  it('of a value that the device has not want nothing else', () => {
    const [pressure, leak] = rowsOf(all).rows;
    if (!pressure || !leak) throw new Error('two rows');
    const shown = ({ name, usual }: DriverSetting) => (name === 'leak: table' ? 'not there' : String(usual));
    expect([isThere(pressure, shown), isThere(leak, shown)]).toEqual([true, false]);
  });
  it.each<[DriverSetting, string, RegExp | undefined]>([
    [address, '192.168.1.20', undefined],
    [address, 'plc', /192\.168\.1\.20/],
    [port, '502', undefined],
    [port, '502.5', /whole/],
    [port, '', /1 to 65535/],
    [port, '70000', /1 to 65535/],
  ])('%j typed as “%s” is wrong or not', (setting, text, why) => {
    if (why) expect(wrongOf(setting, text)).toMatch(why);
    else expect(wrongOf(setting, text)).toBeUndefined();
  });
  it('a wrong figure of a row says of which', () => {
    const scale = row('leak')[1];
    expect(scale && wrongOf(scale, '11')).toBe('leak, times: from -10 to 10');
  });
  it('are kept as figures where they are figures, and go into an address as they are', () => {
    expect([asKept(port, '1502'), asKept(address, '10.0.0.7')]).toEqual([1502, '10.0.0.7']);
    expect(settingsQuery({ 'byte order': 'CD AB', port: 502 })).toBe('byte+order=CD+AB&port=502');
  });
});
