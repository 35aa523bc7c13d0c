import { frictionOn, type Friction } from './friction';
import { throughLinkage, type Linkage } from './linkage';
import { relayOutput, type PositionerSet } from './positioner';

/** A control valve with what moves it, SI. Travel is of the actuator stem, from where air begins to move it. */
export interface ControlValve {
  /** Area the air pushes on, m², travel, m, and what moves, kg. */
  readonly area: number;
  readonly travel: number;
  readonly mass: number;
  /** Force of the spring at the start of travel, N, and its rate, N/m; none of both where air is on two sides. */
  readonly preload: number;
  readonly rate: number;
  readonly bothSides: boolean;
  /** Room of a casing or cylinder end at the end of its stroke, m³, and what its fittings let by, m³/s. */
  readonly room: number;
  readonly conductance: number;
  readonly friction: Friction;
  /** Stiffness of seat and upper stop, N/m, and where the stroke ends short of its travel, shares of it. */
  readonly stopRate: number;
  readonly stops: readonly [from: number, to: number];
  /** Process that pushes the way the air does, N. */
  readonly process: number;
  readonly linkage: Linkage;
  /** What the supply drops by for each m³/s of air drawn, Pa. */
  readonly droop: number;
}

/** What gives its air: a positioner, or a signal or regulator straight into the casing, between two gauge pressures, Pa. */
export type Driven =
  { readonly by: 'positioner'; set: PositionerSet } | { readonly by: 'straight'; low: number; high: number };

const ATMOSPHERE = 101_325;
/** Seconds: of a step, for a signal to come through its tube, and for a relay to follow its nozzle. */
const [STEP, SIGNAL_LAG, RELAY_LAG] = [0.0005, 0.08, 0.04];
/** A stop takes up what hits it within this share of its critical damping. */
const STOP_DAMPING = 0.7;

/**
 * A control valve in time: signal through its tube, relay and supply, filling of the casing (isothermal, flow in proportion
 * to the difference of pressure), spring, friction that sticks and slips, stops, process. Steps of half a millisecond,
 * semi-implicit. Work done by the air is counted against what became of it.
 */
export class Plant {
  /** Gauge pressures, Pa: on the side that drives, and on the other. */
  driven = 0;
  other = 0;
  stem = 0;
  speed = 0;
  supply: number;
  /** Force of the spring at the start of travel, N: its adjuster presses it more. */
  preload: number;
  /** The signal that has arrived, share of its range. */
  arrived = 0;
  /** Gauge pressures that the relay gives to both sides, on its way to what its nozzle asks, Pa. */
  private readonly relay = { driven: 0, other: 0 };
  /** Joules: put in by air and process, rubbed away by friction and stops. */
  readonly work = { putIn: 0, rubbed: 0 };

  constructor(
    readonly valve: ControlValve,
    readonly source: Driven,
    /** Gauge pressure that the regulator is set to, Pa. */
    public supplySet: number,
    /** Share of its range. */
    public signal = 0,
  ) {
    this.supply = supplySet;
    this.preload = valve.preload;
    this.arrived = signal;
    this.stem = valve.stops[0] * valve.travel;
  }

  /** Share of its rated travel that the valve shows. */
  get travel(): number {
    return throughLinkage(this.valve.linkage, this.stem / this.valve.travel);
  }

  run(seconds: number): void {
    for (let i = Math.round(seconds / STEP); i > 0; i--) this.step();
  }

  /** What is stored in spring, stops and motion, J. */
  get stored(): number {
    const { preload } = this;
    const { rate, stopRate, mass } = this.valve;
    return (
      preload * this.stem +
      (rate * this.stem ** 2) / 2 +
      (stopRate * this.intoStop() ** 2) / 2 +
      (mass * this.speed ** 2) / 2
    );
  }

  /** How far it stands into a stop: below zero into the one it starts from, above it into the other, m. */
  private intoStop(): number {
    const [from, to] = this.valve.stops;
    const { travel } = this.valve;
    return Math.min(0, this.stem - from * travel) + Math.max(0, this.stem - to * travel);
  }

  private step(): void {
    this.arrived += (this.signal - this.arrived) * (STEP / SIGNAL_LAG);
    this.fill();
    this.move();
  }

  private fill(): void {
    const { area, travel, room, conductance, bothSides, droop } = this.valve;
    const [to, toOther] = this.given();
    const [flow, otherFlow] = [conductance * (to - this.driven), conductance * (toOther - this.other)];
    const drawn = (Math.max(0, flow) + Math.max(0, otherFlow)) / ATMOSPHERE;
    this.supply = Math.max(0, this.supplySet - droop * drawn);
    const volume = room + area * Math.max(0, this.stem);
    this.driven += ((flow - (this.driven + ATMOSPHERE) * area * this.speed) / volume) * STEP;
    if (!bothSides) return;
    const otherVolume = room + area * Math.max(0, travel - this.stem);
    this.other += ((otherFlow + (this.other + ATMOSPHERE) * area * this.speed) / otherVolume) * STEP;
  }

  /** Pressures that the two sides are on the way to, Pa. */
  private given(): readonly [number, number] {
    const { source, arrived } = this;
    if (source.by === 'straight')
      return [Math.min(this.supply, source.low + arrived * (source.high - source.low)), 0];
    const { travel, linkage, bothSides } = this.valve;
    const fed = { signal: arrived, stroke: this.stem / travel, linkage, bothSides };
    const [driven, other] = relayOutput(source.set, fed);
    const { relay } = this;
    relay.driven += (driven * this.supply - relay.driven) * (STEP / RELAY_LAG);
    relay.other += (other * this.supply - relay.other) * (STEP / RELAY_LAG);
    return [relay.driven, relay.other];
  }

  private move(): void {
    const { preload } = this;
    const { area, rate, mass, friction, stopRate, process } = this.valve;
    const push = (this.driven - this.other) * area + process;
    const into = this.intoStop();
    // A stop pushes, and never pulls.
    const damped = into === 0 ? 0 : STOP_DAMPING * 2 * Math.sqrt(stopRate * mass) * this.speed;
    const stop = stopRate * into + damped;
    const pushesBack = into !== 0 && Math.sign(stop) === Math.sign(into) ? stop : 0;
    const force = push - preload - rate * this.stem - pushesBack;
    const rub = frictionOn(friction, this.speed, force);
    if (rub === undefined) {
      this.speed = 0;
      return;
    }
    const next = this.speed + ((force - rub) / mass) * STEP;
    // It comes to rest before it turns round.
    this.speed = this.speed !== 0 && Math.sign(next) !== Math.sign(this.speed) ? 0 : next;
    const moved = this.speed * STEP;
    this.stem += moved;
    this.work.putIn += push * moved;
    this.work.rubbed += rub * moved + (pushesBack - stopRate * into) * moved;
  }
}
