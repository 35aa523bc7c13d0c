import type { Features, MoverKind } from './features';

const NAMES: Readonly<Record<MoverKind, string>> = {
  handwheel: 'Handwheel',
  wrench: 'Wrench',
  lever: 'Lever',
  'spring-diaphragm': 'Spring diaphragm',
  piston: 'Piston, double acting',
  'rolling-diaphragm': 'Rolling diaphragm',
  'vane-arm': 'Cylinder on a vane arm',
  'diaphragm-on-stem': 'Diaphragm on the stem',
  'hygienic-cylinder': 'Spring-closed cylinder',
  'weight-lever': 'Weight and lever',
  'range-spring': 'Its own outlet pressure',
  flow: 'The flow',
  'shear-pin': 'Pressure, against a pin',
  solenoid: 'Solenoid',
  'set-spring': 'Pressure, against a spring',
};

/** What moves a valve, and what it does when that fails, in the words of a nameplate. */
export function moverWords({ moved, positioner }: Features): { name: string; fails: string } {
  const name = NAMES[moved.kind];
  const placed = positioner.kind === 'none' ? '' : ', positioner';
  if ('action' in moved) {
    return {
      name: `${name}${placed}`,
      fails: `${moved.action}: fails ${moved.action === 'air-to-open' ? 'closed' : 'open'}`,
    };
  }
  return { name: `${name}${placed}`, fails: FAILS[moved.kind] ?? 'stays where it is left' };
}

const FAILS: Partial<Record<MoverKind, string>> = {
  piston: 'stays, or goes with the flow',
  'diaphragm-on-stem': 'by its spring, where it has one',
  'hygienic-cylinder': 'fails closed by its spring',
  'weight-lever': 'the weight shuts it',
  'range-spring': 'its spring opens it',
  flow: 'shuts when the flow turns',
  'shear-pin': 'opens, and stays open',
  solenoid: 'shuts when the power goes',
  'set-spring': 'opens at its set pressure',
};
