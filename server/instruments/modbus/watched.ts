import type { InstrumentTrouble } from '@dusk-wren/contract';
import { pause } from '../pace';
import { figureOf, inOurs, type Channel } from './channel';
import { Refused, type Device } from './line';

/** One look at a device: what its channels read, in ours (psig, percent, °C, mL/min), by their names. */
export interface Look {
  readonly is: 'look';
  readonly seconds: number;
  readonly values: Readonly<Record<string, number>>;
}
export type Seen = Look | { readonly is: 'trouble'; readonly trouble: InstrumentTrouble };

interface Watch {
  readonly device: Device;
  readonly channels: readonly Channel[];
  readonly aSecond: number;
  /** Seconds after which what does not change at all is said to be frozen; never where it is nothing. */
  readonly frozenAfter: number;
  /** Done before each look: what is set on the device; nothing where it is only read. */
  readonly set: (() => Promise<void>) | undefined;
}

const ASKED_AGAIN = 1000;
const trouble = (is: InstrumentTrouble): Seen => ({ is: 'trouble', trouble: is });

/** What the registers are far beyond what the channel reads, or no number at all. */
function beyond({ kind, unit, most }: Channel, figure: number): InstrumentTrouble | undefined {
  if (Number.isFinite(figure) && Math.abs(figure) <= 1.1 * most) return undefined;
  const value = Number.isFinite(figure) ? Number(figure.toPrecision(4)) : 0;
  return { is: 'beyond', what: kind.name, value, unit, most };
}

/**
 * Looks at a device until nobody listens: what it reads, and what is the matter with it, each said once as it begins and
 * `none` as it is over. What is beyond it is not handed on. Ends where a register is not there, and where a device that is set
 * from here is lost.
 */
export async function* watched(watch: Watch, stop: AbortSignal): AsyncGenerator<Seen, void> {
  const { device, channels, aSecond, frozenAfter, set } = watch;
  const began = performance.now();
  const seconds = () => (performance.now() - began) / 1000;
  let said: InstrumentTrouble['is'] = 'none';
  let [stood, since] = ['', 0];
  function* say(now: InstrumentTrouble): Generator<Seen> {
    if (now.is !== said) yield trouble(now);
    said = now.is;
  }
  for (let wait = 0; await pause(wait, stop);) {
    const asked = performance.now();
    let raw: readonly Buffer[];
    let reading = '';
    try {
      await set?.();
      const read: Buffer[] = [];
      for (const channel of channels) {
        reading = channel.kind.name;
        read.push(await device.read(channel.place));
      }
      raw = read;
    } catch (error) {
      if (error instanceof Refused) {
        const channel = channels.find(({ kind }) => kind.name === reading);
        yield trouble({ is: 'refused', what: reading, register: channel?.place.register ?? 0 });
        return;
      }
      yield* say({ is: 'lost', at: device.at, again: set === undefined });
      // What was set and did not arrive must not move anything by itself when it is found again.
      if (set) return;
      wait = ASKED_AGAIN;
      continue;
    }
    wait = Math.max(0, 1000 / aSecond - (performance.now() - asked));
    const figures = channels.map((channel, i) => figureOf(channel, raw[i] ?? Buffer.alloc(4)));
    const wrong = channels.flatMap((channel, i) => beyond(channel, figures[i] ?? Number.NaN) ?? [])[0];
    if (wrong) {
      yield* say(wrong);
      continue;
    }
    const now = seconds();
    const stands = Buffer.concat(raw).toString('hex');
    if (stands !== stood) [stood, since] = [stands, now];
    const isFrozen = frozenAfter > 0 && now - since >= frozenAfter;
    yield* say(
      isFrozen
        ? { is: 'frozen', what: channels[0]?.kind.name ?? '', seconds: Math.round(frozenAfter) }
        : { is: 'none' },
    );
    const values = channels.map(
      (channel, i) => [channel.kind.name, inOurs(channel, figures[i] ?? 0)] as const,
    );
    yield { is: 'look', seconds: now, values: Object.fromEntries(values) };
  }
}
