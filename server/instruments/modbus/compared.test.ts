import { describe, expect, it } from 'vitest';
import { settingsOf } from '../settings';
import { channelOf, channelSettings, ORDER_SETTING } from './channel';
import { waysToRead } from './compared';
import { encode } from './registers';

const PRESSURE = { name: 'pressure', dimension: 'gauge pressure', unit: 'bar g', most: 400 } as const;
const settings = settingsOf({ settings: [ORDER_SETTING, ...channelSettings(PRESSURE, 0)] }, {});
const channel = channelOf(PRESSURE, settings);
if (!channel) throw new Error('it is there');
const ways = (words: Buffer, value: number, unit: string) =>
  waysToRead(channel, words, { value, unit }).map(({ way }) => way);

describe('what the registers could say, that the face of the instrument shows', () => {
  it('is another unit, where only that is wrong', () => {
    // 6 bar is 87.02 psi (NIST SP 811).
    expect(ways(encode(87.02, 'float32', 'AB CD'), 6, 'bar g')[0]).toEqual({
      ...{ type: 'float32', order: 'AB CD', scale: 1, unit: 'psig' },
    });
  });
  it('is another byte order', () => {
    expect(ways(encode(6.02, 'float32', 'CD AB'), 6, 'bar g')[0]).toMatchObject({
      order: 'CD AB',
      unit: 'bar g',
    });
  });
  it('is a whole number in hundredths', () => {
    expect(ways(encode(603, 'int16', 'AB CD'), 6.03, 'bar g')).toContainEqual({
      ...{ type: 'int16', order: 'AB CD', scale: 0.01, unit: 'bar g' },
    });
  });
  it('is nothing of two registers where the device has one', () => {
    const types = ways(encode(603, 'int16', 'AB CD'), 6.03, 'bar g').map(({ type }) => type);
    expect(new Set(types)).toEqual(new Set(['int16', 'uint16']));
  });
  it('puts first what changes least, and is nothing where nothing fits', () => {
    const found = ways(encode(6, 'float32', 'AB CD'), 6, 'bar g');
    expect(found[0]).toEqual({ type: 'float32', order: 'AB CD', scale: 1, unit: 'bar g' });
    expect(ways(encode(6, 'float32', 'AB CD'), 3.3, 'bar g')).toEqual([]);
  });
});
