import type { DriverSetting, DriverSettings } from '@dusk-wren/contract';
import { quantity, unitNames, valueIn, type Dimension } from '@dusk-wren/core/quantity';
import type { Place } from './line';
import { BYTE_ORDERS, decode, REGISTER_TYPES, type ByteOrder } from './registers';

/** What a device can have in its registers for us. */
export interface ChannelKind {
  /** As the register map names it. */
  readonly name: string;
  readonly dimension: Extract<Dimension, 'gauge pressure' | 'ratio' | 'temperature' | 'flow'> | 'switch';
  readonly unit: string;
  /** It is written, not only read. */
  readonly isSet?: boolean;
  /** It is written, and says nothing when it is read: a pump, a vent. 1 is on. */
  readonly isSwitch?: boolean;
  /** A device may do without. */
  readonly optional?: boolean;
  /** The most that it reads where nobody says otherwise, in its unit. */
  readonly most: number;
}

/** A channel of a device, as its register map says. */
export interface Channel {
  readonly kind: ChannelKind;
  readonly place: Place;
  readonly order: ByteOrder;
  readonly unit: string;
  /** A number in the register times this, and that, is the reading in its unit. */
  readonly scale: number;
  readonly offset: number;
  readonly most: number;
}

const NOT_THERE = 'not there';
const TABLES = ['input', 'holding'] as const;
type Table = (typeof TABLES)[number];
/** A signal of 4 to 20 mA is a share of its range as well. */
const MILLIAMPERES = 'mA of 4 to 20';

/** What a channel may be in. */
export const unitsOf: (kind: ChannelKind) => string[] = ({ dimension }) => {
  switch (dimension) {
    case 'ratio':
      return ['%', MILLIAMPERES];
    case 'flow':
      return ['mL/min', 'L/min'];
    case 'switch':
      return ['1 is on'];
    default:
      return unitNames(dimension);
  }
};

/** The name of a setting of a channel. */
export const nameOf = ({ name }: ChannelKind, column: string) => `${name}: ${column}`;

/** A row of the register map. */
export function channelSettings(kind: ChannelKind, register: number): DriverSetting[] {
  const tables = kind.isSet || kind.isSwitch ? ['holding'] : [...TABLES];
  const at = (column: string) => ({ name: nameOf(kind, column), of: kind.name });
  const where: DriverSetting[] = [
    {
      ...{ ...at('table'), label: 'Registers', is: 'choice' },
      options: kind.optional ? [...tables, NOT_THERE] : tables,
      usual: kind.optional ? NOT_THERE : (tables[0] ?? ''),
    },
    {
      ...at('register'),
      label: 'Register',
      is: 'number',
      least: 0,
      most: 65_535,
      usual: register,
      whole: true,
    },
    {
      ...{ ...at('type'), label: 'Type', is: 'choice', options: [...REGISTER_TYPES] },
      usual: kind.isSwitch ? 'uint16' : 'float32',
    },
  ];
  if (kind.isSwitch) return where;
  return [
    ...where,
    { ...at('scale'), label: 'Times', is: 'number', least: -1e6, most: 1e6, usual: 1 },
    { ...at('offset'), label: 'And', is: 'number', least: -1e6, most: 1e6, usual: 0 },
    { ...at('unit'), label: 'Is in', is: 'choice', options: unitsOf(kind), usual: kind.unit },
    { ...at('most'), label: 'Reads up to', is: 'number', least: 0, most: 1e6, usual: kind.most },
  ];
}

/** How two registers make a number, on the whole device. */
export const ORDER_SETTING: DriverSetting = {
  ...{ name: 'byte order', label: 'Byte order, AB highest', is: 'choice' },
  ...{ options: [...BYTE_ORDERS], usual: 'AB CD' },
};

const isTable = (words: unknown): words is Table => TABLES.some((each) => each === words);
const number = (settings: DriverSettings, name: string, usual = 0): number => Number(settings[name] ?? usual);

/** The channel as it is set; nothing where the device has none. */
export function channelOf(kind: ChannelKind, settings: DriverSettings): Channel | undefined {
  const table = settings[nameOf(kind, 'table')];
  if (!isTable(table)) return undefined;
  const type = REGISTER_TYPES.find((each) => each === settings[nameOf(kind, 'type')]) ?? 'float32';
  return {
    kind,
    place: { table, register: number(settings, nameOf(kind, 'register')), type },
    order: BYTE_ORDERS.find((each) => each === settings[ORDER_SETTING.name]) ?? 'AB CD',
    unit: String(settings[nameOf(kind, 'unit')] ?? kind.unit),
    scale: number(settings, nameOf(kind, 'scale'), 1),
    offset: number(settings, nameOf(kind, 'offset'), 0),
    most: number(settings, nameOf(kind, 'most'), kind.most),
  };
}

/** What stands in the registers, in the channel's unit. */
export const figureOf = ({ place, order, scale, offset }: Channel, bytes: Buffer): number =>
  decode(bytes, place.type, order) * scale + offset;

/** What a figure in the channel's unit is in ours: psig, percent, °C, mL/min. */
export function inOurs({ kind: { dimension }, unit }: Channel, figure: number): number {
  switch (dimension) {
    case 'gauge pressure':
      return valueIn({ dimension, value: figure, unit }, 'psig');
    case 'temperature':
      return valueIn({ dimension, value: figure, unit }, '°C');
    case 'switch':
      return figure;
    case 'flow':
      return unit === 'L/min' ? figure * 1000 : figure;
    case 'ratio':
      return unit === MILLIAMPERES ? ((figure - 4) / 16) * 100 : figure;
  }
}

/** The number to put into the registers for what is set, in percent or psig. */
export function toPut(channel: Channel, ours: number): number {
  const { kind, unit, scale, offset } = channel;
  const figure =
    kind.dimension === 'gauge pressure'
      ? valueIn(quantity('gauge pressure', ours, 'psig'), unit)
      : unit === MILLIAMPERES
        ? 4 + (ours / 100) * 16
        : ours;
  return (figure - offset) / scale;
}
