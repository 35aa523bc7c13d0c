import { valueIn } from '@dusk-wren/core/quantity';
import { chance, plantOf, readBench, seedFrom } from '@dusk-wren/core/simulation';
import { defaultValve } from '@dusk-wren/core/valve';
import { encode } from '../instruments/modbus/registers';

/** Where the device has what: its register map, as its own page on Setup has to be filled in. */
export const MAP = {
  rig: {
    pressure: { table: 'input', register: 0, type: 'float32', unit: 'bar g' },
    leak: { table: 'input', register: 2, type: 'float32', unit: 'mL/min' },
    pump: { table: 'holding', register: 0, type: 'uint16' },
    vent: { table: 'holding', register: 1, type: 'uint16' },
  },
  gauge: { table: 'input', register: 4, type: 'float32', unit: 'bar g' },
  gauges: {
    supply: { table: 'input', register: 10, type: 'int16', unit: 'bar g', scale: 0.001 },
    travel: { table: 'input', register: 11, type: 'int16', unit: '%', scale: 0.01 },
    actuator: { table: 'input', register: 12, type: 'int16', unit: 'bar g', scale: 0.001 },
    signal: { table: 'holding', register: 10, type: 'int16', unit: '%', scale: 0.01 },
    supplySet: { table: 'holding', register: 12, type: 'int16', unit: 'bar g', scale: 0.001 },
  },
  temperature: { table: 'input', register: 20, type: 'int16', unit: '°C', scale: 0.1 },
} as const;

/** What a rig's pump reaches, bar; how fast it rises, how fast its vent lets it go, and what seeps on, seconds. */
const RIG = { most: 400, rises: 20, vents: 1.5, seeps: 4000 };
/** A line that is vented: what it has when somebody looks for the first time in a while, bar, and how it falls, seconds. */
const VENTED = { from: 2, falls: 6, lookedAwayFor: 30 };
const ROOM = 21.4;
/** Nothing about its positioner is off. */
const WELL_SET_UP = { zero: 0, span: 0, balance: 0 };
const NOISE = { rig: 0.004, vent: 0.001, room: 0.05 };
/** Steps of its own time, and the most that it catches up, seconds: nobody looked for longer. */
const [STEP, MOST_CATCHING_UP] = [0.05, 30];

/** The device has no such register: the exception of the protocol that says so. */
const noSuchRegister = () => Object.assign(new Error('no such register'), { modbusErrorCode: 2 });

/**
 * A bench of the shop that is not there: a rig with pump and vent, a gauge at a vent, a control valve with its gauges, and a
 * thermometer, as registers of one device. It goes by the clock, on its own, whoever looks.
 */
export class BenchDevice {
  private readonly dice = chance(seedFrom('a bench that is not there'));
  private readonly plant = plantOf(defaultValve('control-globe-double-seat'), WELL_SET_UP);
  private readonly holding = new Map<number, number>();
  private rig = 0;
  private ventOpened = 0;
  private ventLooked = Number.NEGATIVE_INFINITY;
  private at: number;

  /** `seconds` is its clock. */
  constructor(private readonly seconds: () => number) {
    this.at = seconds();
    const { register, scale } = MAP.gauges.supplySet;
    this.holding.set(register, Math.round(this.plant.supply / 1e5 / scale));
    for (const { register: other } of [MAP.rig.pump, MAP.rig.vent, MAP.gauges.signal])
      this.holding.set(other, 0);
  }

  /** As a Modbus server asks it. A number of two registers is one look. */
  readonly vector = {
    getMultipleInputRegisters: (from: number, length: number) => wordsOf(this.inputs(from), from, length),
    getInputRegister: (register: number) => wordsOf(this.inputs(register), register, 1)[0] ?? 0,
    getHoldingRegister: (register: number) => wordsOf(this.holding, register, 1)[0] ?? 0,
    setRegister: (register: number, value: number) => {
      if (!this.holding.has(register)) throw noSuchRegister();
      this.goOn();
      this.holding.set(register, value);
    },
  };

  /** Time goes on since it was looked at last. */
  private goOn(): void {
    const now = this.seconds();
    const { signal, supplySet } = MAP.gauges;
    this.plant.signal = this.set(signal.register) * (signal.scale / 100);
    this.plant.supplySet = this.set(supplySet.register) * supplySet.scale * 1e5;
    for (let left = Math.min(MOST_CATCHING_UP, now - this.at); left > 0; left -= STEP) {
      const step = Math.min(left, STEP);
      this.plant.run(step);
      if (this.set(MAP.rig.vent.register) === 1) this.rig *= Math.exp(-step / RIG.vents);
      else if (this.set(MAP.rig.pump.register) === 1)
        this.rig += (RIG.most - this.rig) * (1 - Math.exp(-step / RIG.rises));
      else this.rig *= Math.exp(-step / RIG.seeps);
    }
    this.at = now;
  }

  /** A holding register, with its sign. */
  private set(register: number): number {
    const word = this.holding.get(register) ?? 0;
    return word > 0x7fff ? word - 0x10000 : word;
  }

  private inputs(asked: number): ReadonlyMap<number, number> {
    this.goOn();
    if (this.at - this.ventLooked > VENTED.lookedAwayFor) this.ventOpened = this.at;
    if (asked === MAP.gauge.register) this.ventLooked = this.at;
    const vent = VENTED.from * Math.exp(-(this.at - this.ventOpened) / VENTED.falls);
    const { supply, travel, driven } = readBench(this.plant, this.dice);
    const noisy = (value: number, by: number) => Math.max(0, value + by * this.dice.normal());
    const words = new Map<number, number>();
    for (const [place, value] of [
      [MAP.rig.pressure, noisy(this.rig, NOISE.rig)],
      [MAP.rig.leak, 0],
      [MAP.gauge, noisy(vent, NOISE.vent)],
      [MAP.gauges.supply, valueIn(supply, 'bar g')],
      [MAP.gauges.travel, valueIn(travel, '%')],
      [MAP.gauges.actuator, valueIn(driven, 'bar g')],
      [MAP.temperature, ROOM + NOISE.room * this.dice.normal()],
    ] as const) {
      const bytes = encode(value / ('scale' in place ? place.scale : 1), place.type, 'AB CD');
      for (let i = 0; i < bytes.length / 2; i++) words.set(place.register + i, bytes.readUInt16BE(2 * i));
    }
    return words;
  }
}

function wordsOf(registers: ReadonlyMap<number, number>, from: number, length: number): number[] {
  return Array.from({ length }, (_, i) => {
    const word = registers.get(from + i);
    if (word === undefined) throw noSuchRegister();
    return word;
  });
}
