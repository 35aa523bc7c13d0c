/**
 * Numbers in registers of 16 bits. A register goes over the wire with its high byte first (MODBUS Application Protocol
 * Specification V1.1b3, 4.2); how two registers make one number the specification leaves to the device, and devices differ.
 */
export const REGISTER_TYPES = ['int16', 'uint16', 'int32', 'uint32', 'float32'] as const;
export type RegisterType = (typeof REGISTER_TYPES)[number];

/** How the bytes of a number follow each other; A is the highest of four. */
export const BYTE_ORDERS = ['AB CD', 'CD AB', 'BA DC', 'DC BA'] as const;
export type ByteOrder = (typeof BYTE_ORDERS)[number];

const WIDE: readonly RegisterType[] = ['int32', 'uint32', 'float32'];

export const registersOf = (type: RegisterType): 1 | 2 => (WIDE.includes(type) ? 2 : 1);

/** The bytes with the highest first, of bytes that came in an order; the same order again turns them back. */
function inOrder(bytes: Buffer, order: ByteOrder): Buffer {
  const turned = Buffer.from(bytes);
  if (order === 'BA DC' || order === 'DC BA') turned.swap16();
  if ((order === 'CD AB' || order === 'DC BA') && turned.length === 4)
    return Buffer.concat([turned.subarray(2), turned.subarray(0, 2)]);
  return turned;
}

/** The number in these bytes, as they came over the wire: two of one register, four of two. */
export function decode(bytes: Buffer, type: RegisterType, order: ByteOrder): number {
  const turned = inOrder(bytes, order);
  switch (type) {
    case 'int16':
      return turned.readInt16BE();
    case 'uint16':
      return turned.readUInt16BE();
    case 'int32':
      return turned.readInt32BE();
    case 'uint32':
      return turned.readUInt32BE();
    case 'float32':
      return turned.readFloatBE();
  }
}

const LIMITS: Readonly<Record<Exclude<RegisterType, 'float32'>, readonly [least: number, most: number]>> = {
  int16: [-0x8000, 0x7fff],
  uint16: [0, 0xffff],
  int32: [-0x80000000, 0x7fffffff],
  uint32: [0, 0xffffffff],
};

/** A number as it goes over the wire; what does not fit is put in as the nearest that does. */
export function encode(value: number, type: RegisterType, order: ByteOrder): Buffer {
  const bytes = Buffer.alloc(2 * registersOf(type));
  if (type === 'float32') {
    bytes.writeFloatBE(value);
    return inOrder(bytes, order);
  }
  const [least, most] = LIMITS[type];
  const whole = Math.min(most, Math.max(least, Math.round(value)));
  if (type === 'int16') bytes.writeInt16BE(whole);
  else if (type === 'uint16') bytes.writeUInt16BE(whole);
  else if (type === 'int32') bytes.writeInt32BE(whole);
  else bytes.writeUInt32BE(whole);
  return inOrder(bytes, order);
}
