import type { Gauges, Read, Situation } from '../diagnosis';
import { chance, type Chance } from './random';

/** What can be planted in a simulated control valve. */
export const PLANTED_FAULTS = [
  'supply low',
  'signal lost',
  'flapper dirty',
  'relay faulty',
  'gain too high',
  'diaphragm torn',
  'bench set wrong',
  'piston ring leaks',
  'cylinder seals leak',
  'lock engaged',
  'coupled short',
  'packing too tight',
  'bottom guide blocked',
  'guides galled',
  'debris',
  'seat worn',
  'oversize or process',
] as const;
export type PlantedFault = (typeof PLANTED_FAULTS)[number];

/** A control valve with its positioner and actuator, in psi, pounds and inches; what is amiss is in its figures. */
interface Body {
  readonly supply: number;
  /** Share of the signal that arrives, and of the supply that relay and flapper can pass. */
  readonly signalShare: number;
  readonly relay: number;
  readonly flapper: number;
  readonly gain: number;
  /** Share of its air that the power element keeps. */
  readonly keeps: number;
  readonly pistonLeak: number;
  readonly sealLeak: number;
  readonly springStart: number;
  /** Friction in psi on the actuator: of packing, and of guides. */
  readonly packing: number;
  readonly guides: number;
  readonly locked: boolean;
  /** Travel that something keeps it from: at the shut end, and in all. */
  readonly shortOfSeat: number;
  readonly loose: number;
  readonly worn: number;
  readonly coupledShort: number;
  readonly weepHoleClear: boolean;
  readonly process: number;
}

const SPAN_PSI = 12;
/** Opening up to which a scale cannot tell a plug on its seat from one that is off it, percent. */
const OFF_THE_SEAT = 4;

/** One valve of a kind, a little different from the next, with one fault planted in it. */
function sick(fault: PlantedFault, dice: Chance, dead: boolean): Body {
  const about = (value: number, spread = 0.08) => value * (1 + spread * dice.normal());
  const sound: Body = {
    supply: about(24, 0.05),
    signalShare: Math.min(1, about(1, 0.01)),
    relay: 1,
    flapper: 1,
    gain: about(1),
    keeps: 1,
    pistonLeak: Math.abs(dice.normal()),
    sealLeak: Math.abs(dice.normal()) * 0.6,
    springStart: about(3, 0.05),
    packing: about(0.5),
    guides: about(0.25),
    locked: false,
    shortOfSeat: 0,
    loose: 0,
    worn: 0,
    coupledShort: 0,
    weepHoleClear: true,
    process: 0,
  };
  switch (fault) {
    case 'supply low':
      return { ...sound, supply: dead ? 1 : about(9) };
    case 'signal lost':
      return { ...sound, signalShare: dead ? 0.02 : about(0.5) };
    case 'flapper dirty':
      return { ...sound, flapper: dead ? 0.05 : about(0.42) };
    case 'relay faulty':
      return { ...sound, relay: dead ? 0.06 : about(0.38), gain: about(1.1) };
    case 'gain too high':
      return { ...sound, gain: about(3) };
    case 'diaphragm torn':
      return { ...sound, keeps: dead ? 0.08 : about(0.42) };
    case 'bench set wrong':
      return { ...sound, springStart: about(13), supply: about(20, 0.02) };
    case 'piston ring leaks':
      return { ...sound, pistonLeak: about(26) };
    case 'cylinder seals leak':
      return { ...sound, sealLeak: about(16) };
    case 'lock engaged':
      return { ...sound, locked: true };
    case 'coupled short':
      return { ...sound, coupledShort: about(3) };
    case 'packing too tight':
      return { ...sound, packing: about(5) };
    case 'bottom guide blocked':
      return { ...sound, shortOfSeat: about(48), weepHoleClear: false };
    case 'guides galled':
      return { ...sound, guides: about(4.6) };
    case 'debris':
      return { ...sound, shortOfSeat: about(9), loose: about(3) };
    case 'seat worn':
      return { ...sound, worn: about(3) };
    case 'oversize or process':
      return { ...sound, process: about(9) };
  }
}

export interface SickAs {
  /** A fault of the kind that lets nothing move at all. */
  readonly dead?: boolean;
  /** Air drives it shut and the spring opens it. */
  readonly closesByAir?: boolean;
}

/**
 * The gauges of a valve with a planted fault. The stroke is where the spring balances the air less friction; the positioner
 * gives what that takes, up to what supply, relay and flapper let through.
 */
export function sickValve(
  fault: PlantedFault,
  seed: number,
  { dead = false, closesByAir = false }: SickAs = {},
): Read {
  const dice = chance(seed);
  const body = sick(fault, dice, dead);
  return (situation) => gaugesOf(body, situation, closesByAir, dice);
}

function gaugesOf(body: Body, situation: Situation, closesByAir: boolean, dice: Chance): Gauges {
  const shuts = { at: closesByAir ? 1 : 0, from: closesByAir ? 'below' : 'above' } as const;
  const { at: command, from } = situation.signal === 'shuts' ? shuts : situation.signal;
  const doing = situation.with;
  const noisy = (value: number, of: number) => Math.max(0, value + of * dice.normal());
  const slacked = doing === 'gland slacked';
  const packing = slacked ? Math.min(body.packing, 0.8) : body.packing;
  const friction = packing + body.guides;
  const direct = doing === 'regulated air straight on';
  const asked = direct ? command : command * body.signalShare;
  const flapper = doing === 'flapper held by hand' || direct ? 1 : body.flapper;
  const relay = direct ? 1 : body.relay;
  const mostAir = body.supply * flapper * relay * body.keeps;
  const sense = from === 'below' ? 1 : -1;
  const start = direct ? 3 : body.springStart;
  const wanted = start + SPAN_PSI * asked + sense * friction;
  const saturated = doing === 'flapper held by hand' || asked >= 0.97;
  const actuator = Math.max(0, Math.min(mostAir, saturated ? mostAir : wanted));
  const reached = (actuator - sense * friction - body.springStart) / SPAN_PSI;
  const short = doing === 'flushed' ? body.shortOfSeat * (body.loose > 0 ? 0.2 : 1) : body.shortOfSeat;
  const [least, most] = closesByAir ? [0, 100 - short] : [short, 100];
  const stroke = body.locked ? 50 : Math.max(least, Math.min(most, 100 * reached));
  const read = noisy(stroke, 0.7);
  const open = closesByAir ? 100 - read : read;
  const swinging =
    (doing === 'gain turned down' ? 0 : body.gain > 1.8 ? 12 : 0) +
    (doing === 'loop in manual' ? 0 : body.process) +
    (body.relay < 1 ? 7 : 0) +
    (friction > 3 ? 6 : 0);
  const lying = doing === 'flushed' ? body.loose * 0.2 : body.loose;
  const lifted = doing === 'run down by the lock nuts' ? 0 : body.coupledShort;
  return {
    supply: noisy(body.supply, 0.4),
    signal: noisy(100 * body.signalShare * command, 1.2),
    actuator: noisy(actuator, 0.35),
    below: noisy(Math.max(0, mostAir - actuator * 0.2), 0.35),
    stroke: read,
    open,
    leak: noisy(0.05 + lying + body.worn + lifted + Math.max(0, open - OFF_THE_SEAT), 0.12),
    breather: noisy(body.pistonLeak + (1 - body.keeps) * 40, 1),
    sealLeak: noisy(body.sealLeak, 0.6),
    swing: noisy(swinging, 0.4),
    lockEngaged: body.locked,
    weepHoleClear: body.weepHoleClear,
  };
}
