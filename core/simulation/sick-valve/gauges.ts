import type { Gauges, Read, Situation, SymptomId } from '../../diagnosis';
import type { Features } from '../../valve';
import { chance, type Chance } from '../random';
import { driveWantedOf, scaleOf } from './element';
import { plant, symptomWith, type Body, type PlantedFault } from './planted-fault';

/** Opening up to which a scale cannot tell a plug on its seat from one that is off it, percent. */
const OFF_THE_SEAT = 4;
/** Signal from which a positioner gives all it has. */
const SATURATED = 0.97;
/** What both sides of a piston stand at, as a share of supply (positioner set-up). */
const EACH_SIDE = 0.75;

/**
 * The gauges of a valve with a planted fault, which shows the symptom asked for, or else the first of its features that
 * the fault can give.
 */
export function sickValve(
  fault: PlantedFault,
  seed: number,
  features: Features,
  symptom: SymptomId | undefined = symptomWith(fault, features),
): Read {
  const dice = chance(seed);
  const body = plant(fault, symptom, features, dice);
  return (situation) => gaugesOf(body, situation, dice);
}

/** Pressures and stroke at rest, exactly. */
interface Rest {
  readonly output: number;
  readonly above: number;
  readonly below: number;
  /** 0 to 1. */
  readonly stroke: number;
}

const between = (least: number, value: number, most: number): number =>
  Math.max(least, Math.min(most, value));

/**
 * The stroke is where spring or process balances the air, less friction: coming from below the air pushes friction, coming
 * from above what drives it back must. The positioner gives what that takes, up to what its chain lets through.
 */
function restOf(
  body: Body,
  { at, from }: Exclude<Situation['signal'], string>,
  doing: Situation['with'],
): Rest {
  const { element } = body;
  const direct = doing === 'regulated air straight on';
  const byHand = doing === 'flapper held by hand';
  const packing = doing === 'gland slacked' ? Math.min(body.packing, 0.8 * scaleOf(element)) : body.packing;
  const friction = packing + body.guides;
  const span = doing === 'line bled' && element.bothSides ? 0 : element.span;
  const passed = direct ? 1 : (byHand ? 1 : body.flapper) * body.relay;
  const line = direct ? 1 : body.line;
  const mostOutput = body.supply * passed * body.keeps;
  const mostAir = mostOutput * line;
  const leastAir = element.bothSides ? -mostAir : 0;
  const asked = direct ? at : at * body.signalShare;
  const target = direct ? asked : Math.max(body.zero, asked * body.feedback);
  const allOfIt = !direct && (byHand || (asked >= SATURATED && body.feedback > 0.8));
  const sense = from === 'below' ? 1 : -1;
  const force = (stroke: number) => body.start + span * stroke;
  const wanted = (direct ? element.start + span * target : force(target)) + sense * friction;
  const drive = between(leastAir, allOfIt ? mostAir : wanted, mostAir);
  const reached = (air: number, by: number): number => {
    const free = air - by - body.start;
    return span > 0 ? free / span : free >= 0 ? target : 0;
  };
  const stroke =
    from === 'below'
      ? reached(drive, friction)
      : Math.min(reached(drive, -friction), reached(mostAir, friction) * body.feedback);
  const middle = EACH_SIDE * mostAir;
  const [above, below] = !element.bothSides
    ? [drive, 0]
    : allOfIt
      ? [mostAir, 0]
      : [between(0, middle + drive / 2, mostAir), between(0, middle - drive / 2, mostAir)];
  return {
    output: between(0, above / line, mostOutput),
    above,
    below,
    stroke: between(body.least, stroke, body.most),
  };
}

function gaugesOf(body: Body, situation: Situation, dice: Chance): Gauges {
  const { element } = body;
  const scale = scaleOf(element);
  const doing = situation.with;
  const shuts = { at: body.closesByAir ? 1 : 0, from: body.closesByAir ? 'below' : 'above' } as const;
  const signal = situation.signal === 'shuts' ? shuts : situation.signal;
  const rest = restOf(cleared(body, doing), signal, doing);
  const noisy = (value: number, of: number) => Math.max(0, value + of * dice.normal());
  const stroke = noisy(100 * rest.stroke, 0.7);
  const open = body.closesByAir ? Math.max(0, 100 - stroke) : stroke;
  const swinging =
    (doing === 'gain turned down' ? 0 : body.gain > 1.8 ? 12 : 0) +
    (doing === 'loop in manual' ? 0 : body.process) +
    (body.relay < 1 ? 7 : 0) +
    (body.packing + body.guides > 3 * scale ? 6 : 0);
  const lying = doing === 'flushed' ? body.loose * 0.2 : body.loose;
  const lifted = doing === 'run down by the lock nuts' ? 0 : body.coupledShort;
  const light = doing === 'more closing force' ? 0 : body.light;
  return {
    supply: noisy(body.supply, 0.4),
    supplyWanted: element.supplyWanted,
    driveWanted: driveWantedOf(element),
    signal: noisy(100 * body.signalShare * signal.at, 1.2),
    output: noisy(rest.output, 0.35),
    actuator: noisy(rest.above, 0.35),
    below: element.bothSides ? noisy(rest.below, 0.35) : 0,
    stroke,
    open,
    leak: noisy(0.05 + lying + body.worn + lifted + light + Math.max(0, open - OFF_THE_SEAT), 0.12),
    breather: noisy(body.pistonLeak + (1 - body.keeps) * 40, 1),
    sealLeak: noisy(body.sealLeak, 0.6),
    swing: noisy(swinging, 0.4),
    signs: body.signs,
  };
}

/** A flush takes most of what lies loose under the plug, and lets it come down. */
function cleared(body: Body, doing: Situation['with']): Body {
  if (doing !== 'flushed' || body.loose === 0) return body;
  return { ...body, least: body.least * 0.2, most: 1 - (1 - body.most) * 0.2 };
}
