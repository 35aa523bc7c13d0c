import type { DriverSettings, InstrumentControl, ReadingMessage } from '@dusk-wren/contract';
import type { InstrumentKind } from '@dusk-wren/core/job';
import type { Controls } from '../controls';
import type { Source, Work } from '../source';
import { channelOf, channelSettings, toPut, type Channel, type ChannelKind } from './channel';
import { compared } from './compared';
import { DEVICE_SETTINGS, deviceOf } from './device-settings';
import { Refused } from './line';
import { watched, type Look } from './watched';

/** What a driver makes of the looks at its device, for one reading of it. */
interface Reader {
  /** A look as a message; nothing where this look says nothing. */
  readonly take: (look: Look) => readonly ReadingMessage[];
  readonly isOver?: () => boolean;
}

/** How a person sets a device while it is read, and how it is left. */
export interface Setter {
  /** What goes into which channel for what was set; each look begins with it. */
  readonly puts: (controls: readonly InstrumentControl[], seconds: number) => ReadonlyMap<string, number>;
  readonly atTheEnd?: ReadonlyMap<string, number>;
}

interface ModbusDriver {
  readonly driver: string;
  readonly kind: InstrumentKind;
  readonly channels: readonly ChannelKind[];
  readonly trial: Reader['take'];
  /** How a piece of work is read; in words what it cannot read. */
  readonly read: (work: Work, channel: ChannelNamed) => (Reader & Partial<Setter>) | string;
}
/** A channel as it is set; nothing where the device has none of that name. */
export type ChannelNamed = (name: string) => Channel | undefined;

const NO_CONTROLS: Controls = { take: () => [] };
/** Each channel has its own place on a device that nobody has set yet, two registers on. */
const PLACES_APART = 2;

/** A source of readings that is a device on the network, by Modbus TCP. */
export function modbusSource({ driver, kind, channels, trial, read }: ModbusDriver): Source {
  async function* looks(
    settings: DriverSettings,
    reader: Reader & Partial<Setter>,
    stop: AbortSignal,
    controls: Controls,
  ) {
    const { device, aSecond, frozenAfter } = deviceOf(settings);
    const all = channels.flatMap((each) => channelOf(each, settings) ?? []);
    const byName = new Map(all.map((channel) => [channel.kind.name, channel]));
    const put = (values: ReadonlyMap<string, number>) => putInto(device, byName, values);
    const began = performance.now();
    const { puts } = reader;
    const set = puts && (() => put(puts(controls.take(), (performance.now() - began) / 1000)));
    try {
      const readable = all.filter((channel) => !channel.kind.isSwitch);
      for await (const seen of watched({ device, channels: readable, aSecond, frozenAfter, set }, stop)) {
        if (seen.is === 'trouble') yield { kind: 'trouble' as const, trouble: seen.trouble };
        else yield* reader.take(seen);
        if (reader.isOver?.()) return;
      }
    } finally {
      // What cannot be reached any more cannot be stopped from here: its trouble has said so.
      if (reader.atTheEnd) await put(reader.atTheEnd).catch(() => undefined);
      device.close();
    }
  }
  return {
    driver,
    kind,
    simulated: false,
    settings: [...DEVICE_SETTINGS, ...channels.flatMap((each, i) => channelSettings(each, PLACES_APART * i))],
    trial: ({ settings }, stop) => looks(settings, { take: trial }, stop, NO_CONTROLS),
    async compare(settings, name, shows) {
      const kind = channels.find((each) => each.name === name);
      const channel = kind && channelOf(kind, settings);
      if (!channel) return { is: 'nothing', what: name };
      const { device } = deviceOf(settings);
      try {
        return await compared(device, channel, shows);
      } catch (error) {
        return error instanceof Refused
          ? { is: 'refused', what: name, register: channel.place.register }
          : { is: 'lost', at: device.at, again: false };
      } finally {
        device.close();
      }
    },
    async *read(work, stop, controls) {
      const named: ChannelNamed = (name) => {
        const found = channels.find((each) => each.name === name);
        return found && channelOf(found, work.settings);
      };
      const reader = read(work, named);
      if (typeof reader === 'string') yield { kind: 'trouble', trouble: { is: 'nothing', what: reader } };
      else yield* looks(work.settings, reader, stop, controls);
    },
  };
}

async function putInto(
  device: ReturnType<typeof deviceOf>['device'],
  channels: ReadonlyMap<string, Channel>,
  values: ReadonlyMap<string, number>,
): Promise<void> {
  for (const [name, value] of values) {
    const channel = channels.get(name);
    if (channel) await device.write(channel.place, toPut(channel, value), channel.order);
  }
}
