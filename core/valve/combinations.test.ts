import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { looseFeatures } from '../testing/any-features';
import {
  bareFeatures,
  checkFeatures,
  closureOf,
  moversHolding,
  choicesOf,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  defaultValve,
  featuresSchema,
  valveSchema,
  withChoice,
  type ConstructionId,
  type RawFeatures,
} from '.';

const contradiction = (id: ConstructionId, change: Partial<RawFeatures>): string => {
  const features = featuresSchema.parse({ ...CONSTRUCTIONS[id].features, ...change });
  const checked = checkFeatures(features);
  if (checked.ok) return '';
  return checked.problem.code === 'features.contradict' ? checked.problem.why : checked.problem.code;
};

describe('features that cannot stand together (facts of the trade)', () => {
  it.each<[string, ConstructionId, Partial<RawFeatures>, RegExp]>([
    ['a wedge on one seat', 'gate-wedge', { seat: { kind: 'screwed', face: 'plain' } }, /wedge pair/],
    [
      'a ball through a bonnet',
      'ball-three-piece',
      { joint: { kind: 'bolted-bonnet', gasket: 'spiral-wound' } },
      /end caps/,
    ],
    ['a swing check with a stem', 'check-swing', { stem: { motion: 'rising' } }, /rising stem/],
    ['a solenoid on a gate', 'gate-wedge', { moved: { kind: 'solenoid' } }, /not moved by a solenoid/],
    [
      'a handwheel that slides',
      'globe-bolted',
      { stem: { motion: 'sliding' }, bushing: { held: 'none' }, backseat: false },
      /winds a rising stem/,
    ],
    [
      'air that winds',
      'globe-bolted',
      { moved: { kind: 'piston', coupling: 'split' } },
      /winds a rising stem/,
    ],
    [
      'a sliding stem in a threaded bushing',
      'control-balanced-cage',
      { bushing: { held: 'screwed' } },
      /no threaded bushing/,
    ],
    [
      'a rising stem without its bushing',
      'gate-wedge',
      { bushing: { held: 'none' } },
      /needs its threaded bushing/,
    ],
    ['a positioner on a handwheel', 'globe-bolted', { positioner: { kind: 'side-mounted' } }, /air actuator/],
    [
      'a positioner on the top of a diaphragm',
      'control-balanced-cage',
      { positioner: { kind: 'on-cylinder' } },
      /cylinder/,
    ],
    [
      'a lantern ring without a box',
      'gate-slab-unitised',
      { lantern: { kind: 'lantern-ring', lubricator: false } },
      /stuffing box/,
    ],
    [
      'a blind head under a cage',
      'control-balanced-cage',
      { joint: { kind: 'bolted-bonnet', gasket: 'spiral-wound', blindHead: true } },
      /blind head/i,
    ],
    [
      'a double plug without one',
      'control-globe-double-seat',
      { joint: { kind: 'bolted-bonnet', gasket: 'spiral-wound' } },
      /blind head/i,
    ],
    ['balance on a plain disc', 'globe-bolted', { balance: { kind: 'seal-rings' } }, /balance/],
    [
      'a ball that is driven home',
      'control-ball-in-venturi',
      { limits: { kind: 'stops' } },
      /position-seated/,
    ],
    [
      'position-seated without a ball',
      'control-balanced-cage',
      { limits: { kind: 'position-seated' } },
      /position-seated/,
    ],
    ['a backseat on a sliding stem', 'control-balanced-cage', { backseat: true }, /shoulder/],
    [
      'a bypass insert in a swing check',
      'check-swing',
      { moved: { kind: 'flow', bypassInsert: true } },
      /bypass insert/,
    ],
    [
      'a pump-protection check without one',
      'check-recirculation',
      { moved: { kind: 'flow', bypassInsert: false } },
      /bypass insert/,
    ],
    ['sealant in a globe', 'globe-bolted', { lubrication: { kind: 'sealant' } }, /sealant/i],
    ['a lubricated plug without sealant', 'plug-lubricated', { lubrication: { kind: 'none' } }, /sealant/i],
    ['O-rings where packing is wanted', 'globe-bolted', { packing: { style: 'o-rings' } }, /stuffing box/],
    ['packing with nothing through it', 'check-swing', { packing: { style: 'braided' } }, /no stem/],
  ])('%s', (_name, id, change, why) => {
    expect(contradiction(id, change)).toMatch(why);
  });
  it.each<[string, ConstructionId, Partial<RawFeatures>]>([
    ['a globe with an integral seat', 'globe-bolted', { seat: { kind: 'integral', face: 'plain' } }],
    [
      'a wedge gate on a piston',
      'gate-wedge',
      {
        stem: { motion: 'sliding' },
        bushing: { held: 'none' },
        backseat: false,
        moved: { kind: 'piston', coupling: 'split' },
      },
    ],
    [
      'a cage on a piston with its positioner',
      'control-balanced-cage',
      { moved: { kind: 'piston', coupling: 'split' }, positioner: { kind: 'on-cylinder' } },
    ],
    ['a globe with a lantern ring', 'globe-bolted', { lantern: { kind: 'lantern-ring', lubricator: true } }],
    [
      'a butterfly with a lever',
      'control-butterfly',
      { moved: { kind: 'lever' }, positioner: { kind: 'none' } },
    ],
  ])('%s may be', (_name, id, change) => {
    expect(contradiction(id, change)).toBe('');
  });
  it('every refusal is a sentence that says what is wanted instead (property)', () => {
    fc.assert(
      fc.property(looseFeatures, (raw) => {
        const read = featuresSchema.safeParse(raw);
        if (!read.success) return;
        const checked = checkFeatures(read.data);
        if (!checked.ok)
          expect(checked.problem).toMatchObject({ why: expect.stringMatching(/^[A-Z].{20,}\.$/) as string });
        const valve = valveSchema.safeParse({ ...defaultValve(), features: read.data });
        expect(valve.success).toBe(checked.ok);
      }),
      { seed: 11, numRuns: 500 },
    );
  });
});

describe('the table of what a closure can be built with', () => {
  it('holds every construction’s own features', () => {
    for (const id of CONSTRUCTION_IDS) {
      const { features } = CONSTRUCTIONS[id];
      const { joint, seat, stem, moved } = features;
      const { fits } = closureOf(features);
      expect(fits.joints, id).toContain(joint.kind);
      expect(fits.seats, id).toContain(seat.kind);
      expect(fits.motions, id).toContain(stem.motion);
      expect(moversHolding(fits.heldBy), id).toContain(moved.kind);
    }
  });
  it('no two constructions are the same set of features', () => {
    const all = CONSTRUCTION_IDS.map((id) => JSON.stringify(bareFeatures(id)));
    expect(new Set(all).size).toBe(21);
  });
});

describe('choosing features one at a time', () => {
  it('the three low-pressure variants, both ports and both gaskets are open', () => {
    const choices = choicesOf(bareFeatures('control-lowpressure-diaphragm'));
    const options = (label: string) => choices.find((choice) => choice.label === label)?.options;
    expect(options('Variant')).toEqual(['single acting', 'adjustable double acting']);
    expect(options('Port')).toEqual(['full', 'reduced']);
    expect(options('Gasket lies on')).toEqual(['body', 'housing']);
  });
  it('without its spring plate the plain double-acting variant opens as well', () => {
    const features = withChoice(
      bareFeatures('control-lowpressure-diaphragm'),
      { axis: 'moved', key: 'springPlate' },
      false,
    );
    if (!features) throw new Error('a spring plate may be left out');
    expect(choicesOf(features).find(({ label }) => label === 'Variant')?.options).toContain('double acting');
  });
  it('what would not hold together is not offered, and not taken', () => {
    const globe = bareFeatures('globe-bolted');
    expect(choicesOf(globe).find(({ label }) => label === 'Positioner')).toBeUndefined();
    expect(withChoice(globe, { axis: 'positioner', key: 'kind' }, 'on-cylinder')).toBeUndefined();
    expect(withChoice(globe, { axis: 'seat', key: 'kind' }, 'nozzle')).toBeUndefined();
  });
  it('another kind brings its own choices, the rest unchanged', () => {
    const cage = bareFeatures('control-balanced-cage');
    const piston = withChoice(cage, { axis: 'moved', key: 'kind' }, 'piston');
    expect(piston?.moved).toEqual({ kind: 'piston', coupling: 'screwed' });
    expect(piston && { ...piston, moved: cage.moved }).toEqual(cage);
  });
  it('bare features carry no figure at all', () => {
    for (const id of CONSTRUCTION_IDS)
      expect(JSON.stringify(bareFeatures(id)), id).not.toMatch(/"dimension"|"bolts"|"thread"/);
  });
});
