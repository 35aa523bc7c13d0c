import { describe, expect, it } from 'vitest';
import {
  boltedJoint,
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  partsOf,
  type ConstructionId,
  type PartPolicy,
  type PartRole,
  type RawFeatures,
  type Valve,
} from '.';

/** The parts lists of the handbook (part 2), by construction. Common practice. */
const LISTS: Readonly<Record<ConstructionId, readonly PartRole[]>> = {
  'globe-bolted': [
    'wheel nut',
    'handwheel',
    'gland nuts',
    'gland flange',
    'gland',
    'bonnet studs',
    'bonnet',
    'stem bushing',
    'bonnet gasket',
    'stem',
    'packing',
    'disc',
    'seat',
    'body',
  ],
  'globe-yoke-clamp': [
    'wheel nut',
    'wheel washer',
    'handwheel',
    'wheel adapter',
    'gland',
    'gland spring',
    'gland lock',
    'yoke clamp bolt',
    'clamped yoke',
    'timing shims',
    'bonnet chamber',
    'stem',
    'packing',
    'disc',
    'backseat retainer',
    'seat',
    'body',
  ],
  'gate-wedge': [
    'handwheel',
    'bonnet',
    'bonnet gasket',
    'stem',
    'packing',
    'wedge',
    'left seat',
    'right seat',
    'body',
  ],
  'gate-slab-unitised': [
    'handwheel',
    'bearing cap',
    'cap O-ring',
    'outer bearing',
    'shear pin',
    'upper stem',
    'inner bearing',
    'packing gland',
    'bonnet studs',
    'bonnet',
    'lock ring',
    'bonnet seal ring',
    'stem',
    'lip seals',
    'seat assemblies',
    'seat pins',
    'inner gate',
    'gate pins',
    'outer gate',
    'body',
  ],
  'plug-lubricated': [
    'gland bolts',
    'gland',
    'grease injector',
    'locking ring',
    'cap bolts',
    'cap',
    'adjusting screw',
    'cap spacer',
    'cover plate',
    'cover gasket',
    'stem',
    'packing',
    'stem O-rings',
    'plug',
    'thrust washer',
    'thrust spring',
    'body',
  ],
  'plug-eccentric': [
    'actuator',
    'gland nuts',
    'gland',
    'gland studs',
    'female adapter',
    'packing',
    'male adapter',
    'plug',
    'body',
  ],
  'check-recirculation': [
    'cover bolts',
    'cover',
    'cover gasket',
    'spring',
    'check disc',
    'guide rings',
    'bypass insert',
    'vortex bushing',
    'seat',
    'body',
  ],
  'check-swing': [
    'cover bolts',
    'cover',
    'cover gasket',
    'hinge pin',
    'hinge bushings',
    'hinge arm',
    'disc',
    'seat',
    'body',
  ],
  'ball-three-piece': [
    'body bolts',
    'end caps',
    'outer body seals',
    'inner body seals',
    'soft seats',
    'ball',
    'body',
  ],
  'control-globe-double-seat': [
    'actuator',
    'stem lock nuts',
    'travel indicator',
    'gland flange',
    'gland',
    'lubricator',
    'isolating valve',
    'bonnet',
    'blind head',
    'stem',
    'packing',
    'lantern ring',
    'plug',
    'upper guide',
    'lower guide',
    'upper seat ring',
    'lower seat ring',
    'body',
  ],
  'control-balanced-cage': [
    'bonnet',
    'bonnet gasket',
    'stem',
    'packing',
    'guide',
    'guide gasket',
    'cage',
    'plug pin',
    'plug',
    'insert screw',
    'insert retainer',
    'soft insert',
    'insert O-ring',
    'seat ring',
    'seat gasket',
    'body',
  ],
  'control-ball-in-venturi': [
    'actuator',
    'split coupler',
    'bonnet',
    'bonnet seal',
    'stem',
    'packing',
    'ball',
    'ball cage',
    'cartridge',
    'seat gaskets',
    'guide pin',
    'guide pin gasket',
    'wear bushings',
    'bushing gaskets',
    'body',
  ],
  'control-rotary-eccentric': [
    'front cover',
    'clevis pin',
    'clevis',
    'clevis nut',
    'spring barrel',
    'actuator handwheel',
    'limit stop',
    'rolling diaphragm',
    'shaft lever',
    'yoke',
    'packing box ring',
    'shaft retaining pin',
    'plug',
    'body',
  ],
  'control-butterfly': [
    'cotter',
    'clevis pin',
    'clevis',
    'arm set screw',
    'vane arm',
    'arm key',
    'indicator plate',
    'vane',
    'body',
  ],
  'control-lowpressure-diaphragm': [
    'adjusting screw',
    'bonnet bolts',
    'bonnet',
    'spring',
    'spring plate',
    'diaphragm plates',
    'diaphragm',
    'lower housing',
    'housing gasket',
    'stem',
    'stem O-ring',
    'backup rings',
    'ratio plug',
    'soft seat',
    'seat disc',
    'port seat',
    'body',
  ],
  'control-hygienic-seat': [
    'locking wire',
    'cylinder',
    'actuator O-rings',
    'spring assembly',
    'lower clamp',
    'clamp seat ring',
    'plug clip',
    'hygienic plug',
    'lip seal',
    'body',
  ],
  'dump-weight-lever': [
    'weight',
    'lever',
    'lever hub',
    'packing ring',
    'stuffing box',
    'shaft thrust washer',
    'trunnion plug',
    'shaft bushings',
    'shaft',
    'trunnion hub',
    'snap rings',
    'link pin',
    'drip pot',
    'needle valve',
    'bonnet',
    'diaphragm bolt',
    'diaphragm retainer',
    'upper diaphragm',
    'housing',
    'stem',
    'stem pin',
    'pivot',
    'diaphragm plate',
    'diaphragm',
    'ratio plug',
    'reversible seat',
    'dump disc',
    'removable seat',
    'body',
  ],
  'regulator-self-acting': [
    'adjusting screw',
    'range spring',
    'housing bolts',
    'housing',
    'bottom cap',
    'stem',
    'diaphragm',
    'lower plate',
    'sliding gate',
    'return spring',
    'seat',
    'body',
  ],
  'relief-shear-pin': [
    'safety cover',
    'shear pin',
    'stem pin',
    'bonnet',
    'stem',
    'stem cushion',
    'cotter',
    'piston washer',
    'relief piston',
    'liner sub',
    'sub O-ring',
    'body',
  ],
  'solenoid-pilot': [
    'coil',
    'armature screws',
    'armature',
    'armature spring',
    'armature O-ring',
    'equalising orifice',
    'cover screws',
    'cover',
    'cone spring',
    'diaphragm',
    'pilot orifice',
    'body',
  ],
  'relief-spring': [
    'cap',
    'lifting lever',
    'compression screw',
    'bonnet',
    'spring washers',
    'spring',
    'spindle',
    'disc holder',
    'disc',
    'adjusting rings',
    'nozzle',
    'body',
  ],
};

const roles = (valve: Valve) => partsOf(valve).map(({ role }) => role);
const policyOf = (id: ConstructionId, role: PartRole): PartPolicy | undefined =>
  partsOf(defaultValve(id)).find((part) => part.role === role)?.policy;
const changed = (id: ConstructionId, change: Partial<RawFeatures>): Valve => {
  const valve = defaultValve(id);
  return { ...valve, features: featuresSchema.parse({ ...valve.features, ...change }) };
};

describe.each(CONSTRUCTION_IDS)('the parts list of %s', (id) => {
  const parts = partsOf(defaultValve(id));
  it('has every part the handbook names', () => {
    expect(roles(defaultValve(id))).toEqual(expect.arrayContaining([...LISTS[id]]));
  });
  it('names each part once, counts it, numbers them on, and ends with the body', () => {
    expect(new Set(parts.map(({ role }) => role)).size).toBe(parts.length);
    expect(parts.map(({ number }) => number)).toEqual(parts.map((_, i) => i + 1));
    expect(parts.at(-1)).toMatchObject({ role: 'body', stays: true });
    for (const part of parts) {
      expect(part.quantity).toBeGreaterThan(0);
      expect(part.leadDays).toBeGreaterThan(0);
      expect(part.name.length).toBeGreaterThan(2);
    }
  });
  it('counts its studs as the joint does', () => {
    const { features } = defaultValve(id);
    const bolts = boltedJoint(features)?.bolts;
    const studs = parts.find(({ role }) =>
      ['bonnet studs', 'bonnet bolts', 'cover bolts', 'body bolts'].includes(role),
    );
    if (bolts !== undefined && studs) expect(studs.quantity).toBe(bolts);
  });
});

describe('what is always new (handbook parts 2 and 4)', () => {
  it.each<[ConstructionId, PartRole]>([
    ['globe-bolted', 'bonnet gasket'],
    ['globe-bolted', 'packing'],
    ['gate-slab-unitised', 'lip seals'],
    ['gate-slab-unitised', 'bonnet seal ring'],
    ['gate-slab-unitised', 'shear pin'],
    ['plug-lubricated', 'stem O-rings'],
    ['plug-lubricated', 'cover gasket'],
    ['plug-eccentric', 'female adapter'],
    ['plug-eccentric', 'male adapter'],
    ['check-recirculation', 'guide rings'],
    ['check-recirculation', 'cover gasket'],
    ['ball-three-piece', 'soft seats'],
    ['ball-three-piece', 'inner body seals'],
    ['control-globe-double-seat', 'blind head gasket'],
    ['control-balanced-cage', 'guide gasket'],
    ['control-balanced-cage', 'plug seals'],
    ['control-balanced-cage', 'soft insert'],
    ['control-ball-in-venturi', 'seat gaskets'],
    ['control-ball-in-venturi', 'guide pin gasket'],
    ['control-ball-in-venturi', 'bushing gaskets'],
    ['control-butterfly', 'cotter'],
    ['control-lowpressure-diaphragm', 'soft seat'],
    ['control-lowpressure-diaphragm', 'backup rings'],
    ['control-hygienic-seat', 'lip seal'],
    ['relief-shear-pin', 'relief piston'],
    ['relief-shear-pin', 'sub O-ring'],
    ['relief-shear-pin', 'shear pin'],
    ['solenoid-pilot', 'armature O-ring'],
  ])('%s: %s', (id, role) => {
    expect(policyOf(id, role)).toBe('renew always');
  });
  it.each<[ConstructionId, PartRole]>([
    ['control-lowpressure-diaphragm', 'seat disc'],
    ['control-lowpressure-diaphragm', 'ratio plug'],
    ['control-ball-in-venturi', 'wear bushings'],
    ['dump-weight-lever', 'removable seat'],
    ['check-recirculation', 'bypass insert'],
  ])('%s: %s is kept or looked at, never renewed unasked', (id, role) => {
    expect(policyOf(id, role)).not.toBe('renew always');
  });
});

describe('variants change the list (handbook part 2)', () => {
  it('a slab gate of 10 000 psi and up has no lock ring: its seats hold the seal ring', () => {
    expect(
      roles(changed('gate-slab-unitised', { joint: { kind: 'seal-ring-bonnet', ringHeldBy: 'seats' } })),
    ).not.toContain('lock ring');
  });
  it('timing shims: maybe', () => {
    expect(
      roles(changed('globe-yoke-clamp', { joint: { kind: 'clamped-yoke', timingShims: false } })),
    ).not.toContain('timing shims');
  });
  it('the small and the large hygienic actuator', () => {
    const of = (size: 'small' | 'large') =>
      roles(changed('control-hygienic-seat', { moved: { kind: 'hygienic-cylinder', size } }));
    expect(of('small')).toContain('actuator O-rings');
    expect(of('small')).not.toContain('upper clamp');
    expect(of('large')).toEqual(
      expect.arrayContaining([
        'upper clamp',
        'bonnet',
        'cylinder O-ring',
        'piston guide rings',
        'actuator lip seal',
      ]),
    );
  });
  it('2–3 in and 4–6 in dump valves', () => {
    const of = (sizes: '2-3 in' | '4-6 in') =>
      roles(changed('dump-weight-lever', { moved: { kind: 'weight-lever', sizes } }));
    expect(of('2-3 in')).toContain('trunnion O-ring');
    expect(of('4-6 in')).toEqual(expect.arrayContaining(['trunnion gasket', 'packing follower']));
    expect(of('4-6 in')).not.toContain('trunnion O-ring');
  });
  it('a metal-faced balanced plug has no insert', () => {
    const metal = roles(
      changed('control-balanced-cage', { closure: { kind: 'balanced-plug', facing: 'metal' } }),
    );
    expect(metal).not.toContain('soft insert');
    expect(metal).not.toContain('insert screw');
  });
  it('the older rotary actuator has no barrel to carry across, and no handwheel', () => {
    const older = roles(
      changed('control-rotary-eccentric', {
        moved: {
          kind: 'rolling-diaphragm',
          action: 'air-to-close',
          form: 'mirror position',
          reversing: true,
        },
      }),
    );
    expect(older).not.toContain('spring barrel');
    expect(older).not.toContain('actuator handwheel');
  });
  it('seats of a wedge gate that do not come out stay', () => {
    const fixed = changed('gate-wedge', {
      seat: { kind: 'wedge-pair', face: 'hard-faced', removable: false },
    });
    expect(
      partsOf(fixed)
        .filter(({ stays }) => stays)
        .map(({ role }) => role),
    ).toEqual(['left seat', 'right seat', 'body']);
  });
  it('a positioner on the cylinder brings its O-ring and range spring, and its relay', () => {
    expect(roles(defaultValve('control-ball-in-venturi'))).toEqual(
      expect.arrayContaining([
        'positioner',
        'positioner O-ring',
        'feedback spring',
        'relay diaphragms',
        'inner valve',
        'relay body',
        'flappers',
      ]),
    );
    expect(roles(defaultValve('control-balanced-cage'))).not.toContain('relay body');
  });
});
