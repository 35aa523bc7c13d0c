import type { Compared, WayToRead } from '@dusk-wren/contract';
import type { DriverSettings } from '@dusk-wren/contract';
import { figureOf, inOurs, nameOf, ORDER_SETTING, unitsOf, type Channel } from './channel';
import type { Device } from './line';
import { BYTE_ORDERS, REGISTER_TYPES, registersOf, type ByteOrder } from './registers';

/** Makers write whole numbers in tenths, hundredths and thousandths. */
const SCALES = [1, 0.1, 0.01, 0.001];
/** How near two faces are that show the same, as a share. */
const NEAR = 0.01;
const MOST_WAYS = 6;

/** In two registers the low one may be alike in two orders: what differs in nothing that is read is one way. */
const isWide = (order: ByteOrder) => order === 'CD AB' || order === 'DC BA';

/** Every way in which these registers would read what the instrument's own face shows; those that change least come first. */
export function waysToRead(
  channel: Channel,
  words: Buffer,
  shows: { readonly value: number; readonly unit: string },
) {
  const wanted = inOurs({ ...channel, unit: shows.unit }, shows.value);
  const ways: { way: WayToRead; turns: number; off: number }[] = [];
  for (const type of REGISTER_TYPES)
    for (const order of BYTE_ORDERS)
      for (const scale of type === 'float32' ? [1] : SCALES)
        for (const unit of unitsOf(channel.kind)) {
          // There are two registers, or there is one.
          if (2 * registersOf(type) > words.length || (registersOf(type) === 1 && isWide(order))) continue;
          const tried = { ...channel, place: { ...channel.place, type }, order, scale, offset: 0, unit };
          const figure = figureOf(tried, words.subarray(0, 2 * registersOf(type)));
          const off = Math.abs(inOurs(tried, figure) - wanted) / Math.abs(wanted);
          if (!(off <= NEAR)) continue;
          const turns = [
            type !== channel.place.type,
            order !== channel.order,
            scale !== channel.scale,
            unit !== channel.unit,
            channel.offset !== 0,
          ].filter(Boolean).length;
          ways.push({ way: { type, order, scale, unit }, turns, off });
        }
  return ways.toSorted((a, b) => a.turns - b.turns || a.off - b.off).slice(0, MOST_WAYS);
}

/** A way as settings of its driver. */
const asSettings = ({ kind }: Channel, { type, order, scale, unit }: WayToRead): DriverSettings => ({
  [nameOf(kind, 'type')]: type,
  [nameOf(kind, 'scale')]: scale,
  [nameOf(kind, 'offset')]: 0,
  [nameOf(kind, 'unit')]: unit,
  [ORDER_SETTING.name]: order,
});

/** What a channel reads beside what its own face shows, and how it would have to be set to read that. */
export async function compared(
  device: Device,
  channel: Channel,
  shows: { readonly value: number; readonly unit: string },
): Promise<Compared> {
  const words = await device
    .read({ ...channel.place, type: 'float32' })
    .catch(() => device.read(channel.place));
  const figure = figureOf(channel, words.subarray(0, 2 * registersOf(channel.place.type)));
  const wanted = inOurs({ ...channel, unit: shows.unit }, shows.value);
  const isSame = Math.abs(inOurs(channel, figure) - wanted) <= NEAR * Math.abs(wanted);
  return {
    reads: Number.isFinite(figure) ? figure : null,
    unit: channel.unit,
    isSame,
    ways: isSame
      ? []
      : waysToRead(channel, words, shows).map(({ way }) => ({ ...way, settings: asSettings(channel, way) })),
  };
}
