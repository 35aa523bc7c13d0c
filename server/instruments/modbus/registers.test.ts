import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BYTE_ORDERS, decode, encode, REGISTER_TYPES, registersOf } from './registers';

const bytes = (hex: string) => Buffer.from(hex, 'hex');

describe('a number in registers', () => {
  // MODBUS Application Protocol Specification V1.1b3, 6.3: registers 108 to 110 answer 02 2B, 00 00, 00 64: 555, 0, 100.
  it.each([
    ['022b', 555],
    ['0000', 0],
    ['0064', 100],
  ])('of one register, %s, is %d', (hex, value) => {
    expect(decode(bytes(hex), 'uint16', 'AB CD')).toBe(value);
    expect(decode(bytes(hex), 'int16', 'AB CD')).toBe(value);
  });
  // IEEE 754-2008 binary32: 1.0 is 3f800000, -2.0 c0000000, 1/3 3eaaaaab.
  it.each([
    ['3f800000', 1],
    ['c0000000', -2],
    ['3eaaaaab', Math.fround(1 / 3)],
  ])('of two registers, %s, is the float %d', (hex, value) => {
    expect(decode(bytes(hex), 'float32', 'AB CD')).toBe(value);
  });
  it.each([
    ['AB CD', '41460000'],
    ['CD AB', '00004146'],
    ['BA DC', '46410000'],
    ['DC BA', '00004641'],
  ] as const)('is the same in the order %s', (order, hex) => {
    expect(decode(bytes(hex), 'float32', order)).toBe(12.375);
    expect(encode(12.375, 'float32', order).toString('hex')).toBe(hex);
  });
  it('with a sign has its highest bit for it, in two’s complement', () => {
    expect(decode(bytes('fff6'), 'int16', 'AB CD')).toBe(-10);
    expect(decode(bytes('fff6'), 'uint16', 'AB CD')).toBe(65526);
    expect(decode(bytes('fffffff6'), 'int32', 'AB CD')).toBe(-10);
  });
  it('comes back as it was put in, of every type and in every order', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...REGISTER_TYPES),
        fc.constantFrom(...BYTE_ORDERS),
        fc.integer({ min: 0, max: 32767 }),
        (type, order, value) => {
          const put = encode(value, type, order);
          expect(put).toHaveLength(2 * registersOf(type));
          expect(decode(put, type, order)).toBe(value);
        },
      ),
    );
  });
  it('that does not fit is put in as the nearest that does', () => {
    expect(decode(encode(70_000, 'uint16', 'AB CD'), 'uint16', 'AB CD')).toBe(65_535);
    expect(decode(encode(-1, 'uint16', 'AB CD'), 'uint16', 'AB CD')).toBe(0);
  });
});
