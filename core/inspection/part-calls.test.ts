import { describe, expect, it } from 'vitest';
import { inches, say, type Length } from '../quantity';
import {
  defaultValve,
  featuresSchema,
  type ConstructionId,
  type PartRole,
  type RawFeatures,
  type Valve,
} from '../valve';
import {
  callOnFeature,
  callOnFinding,
  callOnPolicy,
  setOf,
  USUAL_RULES,
  USUAL_SCHOOLS,
  wordReason,
  type Finding,
  type Reason,
  type SiteRules,
} from '.';

/** The table of judgement calls (handbook part 4), row by row. Common practice. */
const on = (id: ConstructionId, change: Partial<RawFeatures> = {}): Valve => {
  const valve = defaultValve(id);
  return { ...valve, features: featuresSchema.parse({ ...valve.features, ...change }) };
};
const call = (valve: Valve, part: PartRole, finding: Finding, site: SiteRules = USUAL_RULES) =>
  callOnFinding({ valve, site, part }, finding);
const damage = (depth: Length): Finding => ({ kind: 'seat damage', form: 'pitted', depth });

describe('diaphragm: hole, crack, tear, hard → renew', () => {
  it.each(['hole', 'crack', 'tear', 'hardened'] as const)('%s', (form) => {
    expect(call(on('control-globe-double-seat'), 'actuator diaphragm', { kind: 'torn', form })).toMatchObject(
      { verdict: 'renew', reason: { code: 'torn', form } },
    );
  });
});

describe('spring: crack, set, out of square → renew', () => {
  it.each(['fractured', 'set', 'out of square'] as const)('%s', (form) => {
    expect(call(on('relief-spring'), 'spring', { kind: 'spring fault', form }).verdict).toBe('renew');
  });
});

describe('O-ring: nick, cut, flat → renew', () => {
  it.each(['nick', 'cut', 'flat'] as const)('%s', (form) => {
    expect(call(on('control-ball-in-venturi'), 'piston O-ring', { kind: 'cut seal', form }).verdict).toBe(
      'renew',
    );
  });
});

describe('guides, bores, shafts, inserts', () => {
  it.each<[ConstructionId, PartRole, Finding, string, RegExp]>([
    ['control-globe-double-seat', 'upper guide', { kind: 'galled' }, 'renew', /stick/],
    ['control-ball-in-venturi', 'cylinder', { kind: 'scored' }, 'renew', /scored/],
    ['control-ball-in-venturi', 'relay body', { kind: 'galled' }, 'renew', /whole relay body/],
    ['check-recirculation', 'bypass insert', { kind: 'stiff' }, 'rework', /grind/],
    ['check-recirculation', 'bypass insert', { kind: 'light marks' }, 'rework', /grind/],
    ['check-recirculation', 'bypass insert', { kind: 'galled' }, 'renew', /complete/],
    ['check-recirculation', 'check disc', { kind: 'light marks' }, 'rework', /grind/],
    ['dump-weight-lever', 'shaft', { kind: 'bent' }, 'renew', /bent/],
    ['check-swing', 'hinge pin', { kind: 'worn' }, 'renew', /worn/],
    ['solenoid-pilot', 'equalising orifice', { kind: 'blocked' }, 'rework', /blocked/],
    ['globe-yoke-clamp', 'backseat retainer', { kind: 'cracked' }, 'renew', /cracked/],
    ['globe-bolted', 'stem bushing', { kind: 'thread worn' }, 'renew', /push the valve open/],
    ['control-ball-in-venturi', 'wear bushings', { kind: 'worn' }, 'renew', /worn/],
    ['dump-weight-lever', 'body', { kind: 'seat pocket corroded' }, 'renew', /no seat will seal/],
  ])('%s, %s: %j → %s', (id, part, finding, verdict, reason) => {
    const made = call(on(id), part, finding);
    expect(made.verdict).toBe(verdict);
    expect(`${made.method ?? ''} ${say(wordReason(made.reason), 'US')}`).toMatch(reason);
  });
});

describe('seats that are never ground in against each other', () => {
  it('a wedge is lapped on a block while that lets it sink no further than it may (API 600: 0.13 in at NPS 6)', () => {
    const wedge = (depth: number) => call({ ...on('gate-wedge'), nps: 6 }, 'wedge', damage(inches(depth)));
    for (const depth of [0.001, 0.01])
      expect(wedge(depth)).toMatchObject({ verdict: 'rework', method: 'lap on a block' });
    const deep = wedge(0.012);
    expect(deep.verdict).toBe('renew');
    expect(say(wordReason(deep.reason), 'US')).toMatch(/sink 0\.1377 in.*0\.13 in/);
    const { nps: _nps, ...unsized } = on('gate-wedge');
    expect(call(unsized, 'wedge', damage(inches(0.01))).verdict).toBe('ask');
  });
  it('a gate seat that comes out is taken out; with a portable grinder it is ground in line', () => {
    expect(call(on('gate-wedge'), 'left seat', damage(inches(0.01)))).toMatchObject({
      method: 'lap the seat out of the body',
    });
    const grinder = { ...USUAL_RULES, schools: { ...USUAL_SCHOOLS, gateSeats: 'ground in line' as const } };
    expect(call(on('gate-wedge'), 'left seat', damage(inches(0.01)), grinder)).toMatchObject({
      method: 'grind the seat in line',
    });
  });
  it('a gate seat damaged beyond repair that is not renewable condemns', () => {
    const fixed = on('gate-wedge', { seat: { kind: 'wedge-pair', face: 'hard-faced', removable: false } });
    expect(call(fixed, 'right seat', damage(inches(0.05))).verdict).toBe('condemn');
  });
  it('disc and nozzle of a relief valve each go to a lap', () => {
    for (const part of ['disc', 'nozzle'] as const)
      expect(call(on('relief-spring'), part, damage(inches(0.002)))).toMatchObject({
        method: 'lap against a lap',
      });
  });
  it.each<[string, Parameters<typeof on>[0], PartRole, number, string]>([
    ['a relief nozzle', 'relief-spring', 'nozzle', 0.125, 'renew'],
    ['a relief disc past a lap', 'relief-spring', 'disc', 0.02, 'ask'],
    ['a seat of a wedge', 'gate-wedge', 'left seat', 0.25, 'renew'],
    ['a disc half an inch deep', 'globe-bolted', 'disc', 0.5, 'renew'],
    ['a taper plug', 'plug-lubricated', 'plug', 0.02, 'ask'],
    ['a ball that a nail does not catch on', 'ball-three-piece', 'ball', 0.0002, 'ask'],
    ['a cartridge', 'control-ball-in-venturi', 'cartridge', 0.02, 'renew'],
  ])('%s is not lapped past what it has to give (%s %s, %d in): %s', (_, id, part, depth, verdict) => {
    const features =
      part === 'cartridge'
        ? { seat: { kind: 'cartridge', face: 'hard-faced', service: 'first' } as const }
        : {};
    expect(call(on(id, features), part, damage(inches(depth))).verdict).toBe(verdict);
  });
  it('a joint face is lapped, then turned, then asked about: half an inch is a matter of what wall is left', () => {
    const face = (depth: number) =>
      call(on('globe-bolted'), 'bonnet', { kind: 'joint face damage', form: 'pit', depth: inches(depth) });
    expect([0.003, 0.02, 0.5].map((depth) => face(depth).verdict)).toEqual(['rework', 'rework', 'ask']);
  });
  it('a body that leaks is not cleaned up', () => {
    expect(call(on('globe-bolted'), 'body', { kind: 'leaks' }).verdict).toBe('ask');
  });
  it('gates lapped flat as made are renewed; so is a marked ball, and a soft seat', () => {
    expect(call(on('gate-slab-unitised'), 'outer gate', damage(inches(0.001))).verdict).toBe('renew');
    expect(call(on('ball-three-piece'), 'ball', damage(inches(0.001))).verdict).toBe('renew');
    expect(call(on('control-butterfly'), 'seat liner', damage(inches(0.001))).verdict).toBe('renew');
  });
  it('a wedge that rides low has no wear travel left (API 600)', () => {
    expect(call(on('gate-wedge'), 'wedge', { kind: 'rides low' })).toMatchObject({
      verdict: 'renew',
      source: { name: expect.stringContaining('600') as string },
    });
  });
});

describe('calls that features make by themselves', () => {
  it('a cartridge is turned at its first service and renewed at its second', () => {
    const service = (which: 'first' | 'second') =>
      callOnFeature(
        'cartridge',
        on('control-ball-in-venturi', { seat: { kind: 'cartridge', face: 'hard-faced', service: which } }),
      );
    expect(service('first')).toMatchObject({ verdict: 'rework', method: 'turn end for end' });
    expect(service('second')).toMatchObject({ verdict: 'renew' });
    expect(callOnFeature('ball', on('control-ball-in-venturi'))).toBeUndefined();
  });
  it('plug, stem and pin are a set on a balanced plug, and on no other', () => {
    expect(setOf('plug', on('control-balanced-cage'))).toEqual(['plug', 'plug pin', 'stem']);
    expect(setOf('plug', on('control-globe-double-seat'))).toEqual([]);
    expect(setOf('cage', on('control-balanced-cage'))).toEqual([]);
  });
  it.each<[PartRole, Reason['code']]>([
    ['bonnet gasket', 'once crushed'],
    ['packing', 'packing is new'],
    ['stem O-ring', 'seals are new'],
    ['soft seats', 'soft seats are new'],
    ['shear pin', 'safety pin'],
  ])('%s is always new, and says why', (part, why) => {
    expect(callOnPolicy(part)).toMatchObject({ verdict: 'renew', reason: { code: why } });
  });
});

describe('a part that cannot be had new', () => {
  it.each<[ConstructionId, PartRole, string]>([
    ['globe-yoke-clamp', 'seat', 'condemn'],
    ['check-recirculation', 'seat', 'condemn'],
    ['globe-bolted', 'body', 'condemn'],
    ['check-swing', 'seat', 'renew'],
    ['control-balanced-cage', 'seat ring', 'renew'],
  ])('%s: a cracked %s → %s', (id, part, verdict) => {
    expect(call(on(id), part, { kind: 'cracked' }).verdict).toBe(verdict);
  });
  it('a site that renews what it can renews a removable seat, and still repairs an integral one', () => {
    const renews = { ...USUAL_RULES, schools: { ...USUAL_SCHOOLS, repairOrRenew: 'renew' as const } };
    expect(call(on('globe-bolted'), 'seat', damage(inches(0.002)), renews).verdict).toBe('renew');
    expect(call(on('globe-yoke-clamp'), 'seat', damage(inches(0.002)), renews).verdict).toBe('rework');
  });
});
