import type { InstrumentControl, ReadingMessage } from '@dusk-wren/contract';
import { heldOn, NOT_HELD } from '@dusk-wren/core/analysis';
import { psig, unitMixedUp, valueIn, type GaugePressure } from '@dusk-wren/core/quantity';
import { CLASS_VI_BUBBLE_ML, DROPS_PER_ML } from '@dusk-wren/core/standards';
import type { TaskOf } from '@dusk-wren/core/task';
import { pressureOf } from './gauge';
import { modbusSource, type ChannelNamed } from './modbus-source';
import type { Look } from './watched';

const PRESSURE = { name: 'pressure', dimension: 'gauge pressure', unit: 'bar g', most: 1000 } as const;
/** What leaks, where the rig measures it; else whoever stands there counts. */
const LEAK = { name: 'leak', dimension: 'flow', unit: 'mL/min', most: 10_000, optional: true } as const;
const PUMP = {
  name: 'pump',
  dimension: 'switch',
  unit: '',
  most: 1,
  isSwitch: true,
  optional: true,
} as const;
const VENT = {
  name: 'vent',
  dimension: 'switch',
  unit: '',
  most: 1,
  isSwitch: true,
  optional: true,
} as const;

const A_ML_IS = { drops: DROPS_PER_ML, bubbles: 1 / CLASS_VI_BUBBLE_ML, mL: 1 } as const;

/** Pump and vent as whoever stands there sets them; the pump is stopped when nobody reads any more. */
const byHand = {
  puts: (controls: readonly InstrumentControl[]) =>
    new Map(
      controls.flatMap((control): [string, number][] => {
        if (control.kind === 'pump') return [[PUMP.name, control.on ? 1 : 0]];
        return control.kind === 'vent' ? [[VENT.name, control.open ? 1 : 0]] : [];
      }),
    ),
  atTheEnd: new Map([[PUMP.name, 0]]),
};

/** So long it stands before it is compared with what is asked, seconds; and so much it may move, as a share. */
const [STANDS_FOR, STANDS_WITHIN] = [4, 0.01];

/** Says once where a pressure stands off what is asked by just what two units are apart. */
function unitWatch(asked: GaugePressure, setTo: string) {
  let [from, at, said] = [0, Number.NaN, false];
  return ({ seconds, values }: Look): ReadingMessage[] => {
    const now = values[PRESSURE.name] ?? 0;
    if (!(Math.abs(now - at) <= STANDS_WITHIN * Math.abs(at))) [from, at] = [seconds, now];
    if (said || seconds - from < STANDS_FOR) return [];
    const inTheirs = valueIn(psig(now), setTo);
    const sends = unitMixedUp({ dimension: 'gauge pressure', value: inTheirs, unit: setTo }, asked);
    if (sends === undefined) return [];
    said = true;
    return [{ kind: 'trouble', trouble: { is: 'unit', what: PRESSURE.name, sends, setTo } }];
  };
}

/** A pressure test: the hold runs while the gauge shows what is asked, and what leaks in it is added up. */
function pressureTest({ pressure, hold, allowed }: TaskOf<'pressure-test'>, channel: ChannelNamed) {
  let now = NOT_HELD;
  let last: number | undefined;
  const measuresLeak = channel(LEAK.name) !== undefined;
  const mixedUp = unitWatch(pressure, channel(PRESSURE.name)?.unit ?? PRESSURE.unit);
  return {
    take: (look: Look): ReadingMessage[] => {
      const { seconds, values } = look;
      const at = values[PRESSURE.name] ?? 0;
      now = heldOn(
        now,
        {
          apart: seconds - (last ?? seconds),
          pressure: psig(at),
          leakPerMinute: Math.max(0, values[LEAK.name] ?? 0) * A_ML_IS[allowed.of],
        },
        { pressure, hold },
      );
      last = seconds;
      const { phase, held, leaked } = now;
      return [
        {
          kind: 'rig',
          seconds,
          psig: at,
          phase,
          held,
          leaked: measuresLeak ? leaked : null,
          of: allowed.of,
          rate: 1,
        },
        ...mixedUp(look),
      ];
    },
    isOver: () => now.phase === 'done',
    ...byHand,
  };
}

/** A test rig on the network: its gauge, its pump and vent where they are driven, its leak where it is measured. */
export const modbusRig = modbusSource({
  driver: 'Modbus rig',
  kind: 'test rig',
  channels: [PRESSURE, LEAK, PUMP, VENT],
  trial: (look) => [pressureOf(look)],
  read: ({ step: { task } }, channel) => {
    if (task.kind === 'pressure-test') return pressureTest(task, channel);
    if (task.kind === 'measure' && task.live) return { take: (look) => [pressureOf(look)], ...byHand };
    return 'this step';
  },
});
