import type { PlantedFault } from '../sick-valve/planted-fault';
import type { ControlValve } from './plant';
import type { PositionerSet } from './positioner';

/** A control valve, its positioner and its supply, before they are put in motion. */
export interface Parts {
  readonly valve: ControlValve;
  readonly set: PositionerSet;
  /** Gauge pressure, Pa. */
  readonly supply: number;
  /** Air drives it shut: its closed end is the end of its stroke. */
  readonly closesByAir: boolean;
}

/** Times what a sound valve rubs; share of the supply that still comes; share of the stroke that something takes. */
const [STIFF, STARVED, BLOCKED] = [6, 0.5, 0.4];
/** Share of what a sound relay lets through. */
const SLOW = 0.12;

/** The same with one fault of the fault finder in it, as a stroke shows it; what only leaks shows in no stroke. */
export function withFault(parts: Parts, fault: PlantedFault): Parts {
  const { valve, set, closesByAir } = parts;
  const rubbing = (times: number): Parts => {
    const { sliding, breakaway, viscous } = valve.friction;
    return {
      ...parts,
      valve: { ...valve, friction: { viscous, sliding: times * sliding, breakaway: times * breakaway } },
    };
  };
  const shortAtClosed = (by: number): Parts => ({
    ...parts,
    valve: { ...valve, stops: closesByAir ? [0, 1 - by] : [by, 1] },
  });
  switch (fault) {
    case 'supply low':
    case 'tubing leaks':
    case 'diaphragm torn':
      return { ...parts, supply: STARVED * parts.supply };
    case 'trip solenoid shut':
      return { ...parts, supply: 0 };
    case 'signal lost':
      return { ...parts, set: { ...set, span: STARVED * set.span } };
    case 'positioner out of set':
      return { ...parts, set: { ...set, span: 0.7 * set.span, zero: set.zero + 0.15 } };
    case 'flapper dirty':
    case 'relay faulty':
      return { ...parts, valve: { ...valve, conductance: SLOW * valve.conductance } };
    case 'gain too high':
      return { ...parts, set: { ...set, gain: 10 * set.gain } };
    case 'bench set wrong':
      return { ...parts, valve: { ...valve, preload: 2.2 * valve.preload } };
    case 'packing too tight':
    case 'guides galled':
      return rubbing(STIFF);
    case 'bushing worn':
      return rubbing(1.6);
    case 'lock engaged':
      return { ...parts, valve: { ...valve, stops: [0, 0.5] } };
    case 'debris':
    case 'bottom guide blocked':
    case 'closed stop out':
      return shortAtClosed(BLOCKED);
    case 'piston ring leaks':
    case 'cylinder seals leak':
    case 'coupled short':
    case 'pin sheared':
    case 'soft seat cut':
    case 'balance seal leaks':
    case 'seat gasket leaks':
    case 'seat worn':
    case 'oversize or process':
      return parts;
  }
}
