import { describe, expect, it } from 'vitest';
import { say } from '../quantity';
import { priorsOf } from '../diagnosis';
import { placesOf } from '../procedure';
import { BenchJob } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import {
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  valveSchema,
  type ConstructionId,
  type RawFeatures,
  type Valve,
} from '../valve';
import type { PlannedStep } from '.';

/**
 * What the handbook (part 2) says of each construction, held against its plan. Common practice. Steps are found by
 * what they are about, never by their wording as a whole.
 */
type Change = Partial<RawFeatures>;

function valveWith(id: ConstructionId, change: Change = {}, nps?: number): Valve {
  const valve = defaultValve(id);
  const features = featuresSchema.parse({ ...valve.features, ...change });
  return valveSchema.parse({ ...valve, ...(nps === undefined ? {} : { nps }), features });
}

const planOf = (valve: Valve, options?: ConstructorParameters<typeof BenchJob>[1]) =>
  new BenchJob(valve, options).plan().steps;

const says = (step: PlannedStep) =>
  [
    step.title,
    say(step.why, 'US'),
    step.caution,
    ...step.tools,
    ...step.consumables,
    step.off.join(),
    step.on.join(),
  ].join(' · ');

const find = (steps: readonly PlannedStep[], stage: string, wanted: RegExp) =>
  steps.find((step) => step.stage === stage && wanted.test(says(step)));

type Place = readonly [stage: string, about: RegExp];
const expectOrder = (steps: readonly PlannedStep[], ...places: readonly Place[]) => {
  const at = places.map(([stage, about]) => {
    const step = find(steps, stage, about);
    expect(step, `${stage}: ${String(about)}`).toBeDefined();
    return step?.id ?? '';
  });
  // Not only further down the list: each waits for the one before it, directly or through others.
  at.slice(1).forEach((id, i) => {
    const first = at[i] ?? '';
    if (first !== id) expect([...waitsFor({ steps }, id)], `${id} waits for ${first}`).toContain(first);
  });
};
const expectTrap = (steps: readonly PlannedStep[], stage: string, about: RegExp, trap: RegExp) => {
  const warned = steps.filter((step) => step.stage === stage && about.test(says(step)));
  expect(warned.length, `${stage}: ${String(about)}`).toBeGreaterThan(0);
  expect(warned.map(({ caution }) => caution ?? '').join(' · ')).toMatch(trap);
};
const renewed = (valve: Valve) =>
  [...new BenchJob(valve).plan().calls.values()]
    .filter(({ verdict }) => verdict === 'renew')
    .map(({ part }) => part);

describe('2 globe-yoke-clamp', () => {
  const steps = planOf(valveWith('globe-yoke-clamp'));
  it('half open, gland vented slowly, mark, jack, unscrew, shims kept, chamber off the stem, rings pushed', () => {
    expectOrder(
      steps,
      ['isolate', /half open/i],
      ['strip', /gland.*slowly/i],
      ['strip', /mark/i],
      ['strip', /from the back/i],
      ['strip', /unscrew/i],
      ['strip', /wire.?brush/i],
      ['strip', /timing shims/i],
      ['strip', /chamber down off the stem/i],
      ['strip', /nose end/i],
    );
  });
  it('packed on a mandrel before it goes over the stem; yoke to the mark with the stem at mid-travel; three strokes, three times', () => {
    expectOrder(
      steps,
      ['rebuild', /mandrel/],
      ['rebuild', /sleeve/],
      ['rebuild', /shims/],
      ['rebuild', /mid-travel/],
      ['rebuild', /match mark/],
      ['rebuild', /clamp bolt back/i],
      ['set up', /three full strokes/i],
      ['set up', /lock the gland/i],
    );
  });
  it('anti-seize on every thread but the stem’s; over-torque cracks the retainer; clockwise only; gloves', () => {
    expectTrap(steps, 'rebuild', /anti-seize/i, /not?.* on the stem thread/i);
    expectTrap(steps, 'set up', /open fully/i, /cracks its retainer/i);
    expectTrap(steps, 'rebuild', /mandrel/, /gloves/i);
    const cut = new BenchJob(valveWith('globe-yoke-clamp')).workTo('inspect.seat').send({
      kind: 'make-finding',
      body: {
        step: 'inspect.seat',
        finding: { kind: 'seat damage', form: 'wire drawn', depth: '0.008 in' },
      },
    });
    expectTrap(cut.plan().steps, 'repair', /reface/i, /clockwise only/i);
  });
  it('an hour or two at the bench for strip and rebuild (common practice)', () => {
    const minutes = steps
      .filter(({ stage }) => ['strip', 'rebuild', 'set up'].includes(stage))
      .reduce((sum, step) => sum + step.minutes, 0);
    expect(minutes).toBeGreaterThan(60);
    expect(minutes).toBeLessThan(180);
  });
});

describe('3 gate-wedge', () => {
  it('marked left and right, its travel measured, the wedge on a block and never on its seats; no spotting', () => {
    const job = new BenchJob(valveWith('gate-wedge'));
    expectOrder(
      job.plan().steps,
      ['strip', /left and right/],
      ['inspect', /wear travel/],
      ['rebuild', /own side/],
    );
    expect(job.plan().steps.some(({ task }) => task.kind === 'bluing')).toBe(false);
    job.workTo('inspect.wedge').send({
      kind: 'make-finding',
      body: { step: 'inspect.wedge', finding: { kind: 'seat damage', form: 'pitted', depth: '0.004 in' } },
    });
    expectTrap(job.plan().steps, 'repair', /on a block/i, /never rubbed/i);
  });
  it('a damaged seat that comes out is lapped out of the body; one that does not condemns the valve', () => {
    const damage = (removable: boolean) =>
      new BenchJob(valveWith('gate-wedge', { seat: { kind: 'wedge-pair', face: 'hard-faced', removable } }))
        .workTo('inspect.left-seat')
        .send({
          kind: 'make-finding',
          body: {
            step: 'inspect.left-seat',
            finding: { kind: 'seat damage', form: 'pitted', depth: '0.01 in' },
          },
        })
        .plan();
    expectOrder(
      damage(true).steps,
      ['repair', /seat out of the body/i],
      ['rebuild', /wedge to its own side/i],
    );
    expect(damage(false).condemned).toBe(true);
  });
  it('the other school grinds the seats in line and blues the wedge pressed straight home', () => {
    const job = new BenchJob(valveWith('gate-wedge'));
    job.send({ kind: 'choose-way', body: { way: { question: 'gateSeats', choice: 'ground in line' } } });
    const blue = job.plan().steps.filter(({ task }) => task.kind === 'bluing');
    expect(blue).toHaveLength(2);
    for (const step of blue) expect(say(step.why, 'US')).toMatch(/straight home/);
  });
});

describe('4 gate-slab-unitised', () => {
  const steps = planOf(valveWith('gate-slab-unitised'));
  it('body bled through the fitting, then closed, then lifted straight with its internals', () => {
    expectOrder(
      steps,
      ['isolate', /grease fitting/],
      ['isolate', /close the valve fully/i],
      ['strip', /lift straight/i],
      ['strip', /on its side/],
      ['strip', /extend/],
      ['strip', /seal ring/],
      ['strip', /shear pin/],
      ['strip', /upper stem/],
      ['strip', /through the bottom/],
      ['strip', /packings out/i],
    );
  });
  it('lips down to the pressure, knurled end last, shear pin flush, body pins, opposing pairs, cavity greased', () => {
    expectOrder(
      steps,
      ['rebuild', /service-rated/],
      ['rebuild', /lips facing down/],
      ['rebuild', /shear pin flush/i],
      ['rebuild', /bearing cap to torque/i],
      ['rebuild', /recess holes/],
      ['rebuild', /body pins/],
      ['rebuild', /opposing pairs/],
      ['set up', /body cavity/],
      ['set up', /bearings/],
    );
  });
  it('outer gate and stem stay pinned together unless one is renewed: then knurled end first, and last', () => {
    expect(steps.flatMap(({ off }) => off)).not.toContain('outer gate');
    const job = new BenchJob(valveWith('gate-slab-unitised')).workTo('inspect.outer-gate').send({
      kind: 'make-finding',
      body: { step: 'inspect.outer-gate', finding: { kind: 'cracked' } },
    });
    expectTrap(job.plan().steps, 'strip', /retainer pins out/i, /knurled end first/i);
    expectTrap(job.plan().steps, 'rebuild', /outer gate on/i, /knurled end last/i);
  });
  it('the seal ring has a lock ring at the lower ratings, and the seats at the higher', () => {
    expect(find(steps, 'strip', /lock ring out/i)).toBeDefined();
    const high = planOf(
      valveWith('gate-slab-unitised', { joint: { kind: 'seal-ring-bonnet', ringHeldBy: 'seats', bolts: 8 } }),
    );
    expect(high.some((step) => step.off.includes('lock ring'))).toBe(false);
    expect(find(high, 'strip', /10000 psig/)).toBeDefined();
  });
});

describe('5 plug-lubricated', () => {
  const steps = planOf(valveWith('plug-lubricated'));
  it('injector, locking ring, gland, cap, plate, then the plug is driven out by its stem', () => {
    expectOrder(
      steps,
      ['strip', /injector out/i],
      ['strip', /locking ring/i],
      ['strip', /gland off/i],
      ['strip', /cap bolts/i],
      ['strip', /cover plate, second/i],
      ['strip', /drive the plug out/i],
      ['strip', /old sealant/i],
      ['strip', /stem out/i],
    );
  });
  it('80 % blue, grooves and holes looked at; adjusted free without lifting, then sealant till it shows', () => {
    expectOrder(steps, ['inspect', /80 %/], ['set up', /not lifting/], ['set up', /sealant until it shows/]);
    expect(find(steps, 'inspect', /balance holes/)).toBeDefined();
    expect(find(steps, 'inspect', /thrust washer/i)).toBeDefined();
  });
});

describe('6 plug-eccentric', () => {
  const steps = planOf(valveWith('plug-eccentric'));
  it('nuts first tried evenly; gland wired up, female adapter, rings, male adapter; and back the other way', () => {
    expectOrder(
      steps,
      ['diagnose', /evenly/],
      ['strip', /does not injure/],
      ['strip', /gland nuts off/i],
      ['strip', /twist/],
      ['strip', /wire the gland up/],
      ['strip', /female adapter/i],
      ['strip', /snip/i],
      ['strip', /male adapter, at the bottom/i],
      ['rebuild', /once, radially/],
      ['rebuild', /male adapter first/i],
      ['rebuild', /one at a time/],
      ['rebuild', /female adapter last/i],
      ['rebuild', /one turn/],
      ['test', /weeps/],
    );
    expectTrap(steps, 'rebuild', /one turn/, /short packing life/i);
  });
  it('never takes the actuator off', () => {
    expect(steps.flatMap((step) => step.off)).not.toContain('actuator');
  });
});

describe('7 check-recirculation', () => {
  const valve = valveWith('check-recirculation');
  const steps = planOf(valve);
  it('order key, cover held over its spring with two opposing bolts, insert pressed out and in', () => {
    expectOrder(
      steps,
      ['receive', /order key/],
      ['strip', /but two opposing/],
      ['strip', /clamp the cover/i],
      ['strip', /check disc up/i],
      ['inspect', /slide freely/i],
      ['rebuild', /guide rings/],
      ['rebuild', /spring in, seated/i],
      ['test', /with the pump/],
    );
    expectTrap(steps, 'strip', /two opposing/, /spring/i);
    expectTrap(steps, 'rebuild', /guide rings/, /no mineral oil/i);
    // It slides freely where it stands: nobody presses it out.
    expect(steps.flatMap(({ off }) => off)).not.toContain('bypass insert');
    const stiff = new BenchJob(valve).workTo('inspect.bypass-insert').send({
      kind: 'make-finding',
      body: { step: 'inspect.bypass-insert', finding: { kind: 'stiff' } },
    });
    expectOrder(stiff.plan().steps, ['strip', /press insert/i], ['rebuild', /clean pipe/]);
    expectTrap(stiff.plan().steps, 'rebuild', /outlet hole/, /wrong way/i);
  });
  it('gaskets and guide rings are new; severe scratches take the complete insert, stiffness an even grind', () => {
    expect(renewed(valve)).toEqual(expect.arrayContaining(['cover gasket', 'guide rings']));
    const insert = (finding: { kind: 'galled' } | { kind: 'stiff' }) =>
      new BenchJob(valve)
        .workTo('inspect.bypass-insert')
        .send({ kind: 'make-finding', body: { step: 'inspect.bypass-insert', finding } })
        .plan()
        .calls.get('bypass insert');
    expect(insert({ kind: 'galled' })).toMatchObject({ verdict: 'renew' });
    expect(insert({ kind: 'stiff' })).toMatchObject({ verdict: 'rework', method: 'even grind' });
  });
});

describe('8 check-swing', () => {
  const steps = planOf(valveWith('check-swing'));
  it('hinge clearance measured, disc free to turn with its nut locked, tested from downstream only', () => {
    expectOrder(
      steps,
      ['strip', /hinge pin out/i],
      ['inspect', /clearance/i],
      ['rebuild', /free to turn/],
      ['test', /downstream side only/],
    );
    expectTrap(steps, 'rebuild', /nut locked/, /locked/);
    expect(steps.some(({ task }) => task.kind === 'bluing')).toBe(true);
  });
  it('a damaged seat is lapped in place with a flat lap', () => {
    const job = new BenchJob(valveWith('check-swing')).workTo('inspect.seat').send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'pitted', depth: '0.002 in' } },
    });
    expect(find(job.plan().steps, 'repair', /in place with a flat lap/)).toBeDefined();
  });
});

describe('9 ball-three-piece', () => {
  it('half open to empty the cavity, end caps, three seals out of both ends, criss-cross, cycled', () => {
    const valve = valveWith('ball-three-piece');
    const steps = planOf(valve);
    expectOrder(
      steps,
      ['isolate', /half open/i],
      ['strip', /body bolts out/i],
      ['strip', /spread the pipe/i],
      ['strip', /both ends/],
      ['rebuild', /outer seal, inner seal, seat/],
      ['rebuild', /criss-cross/],
      ['set up', /interference/],
    );
    expect(renewed(valve)).toEqual(
      expect.arrayContaining(['soft seats', 'inner body seals', 'outer body seals']),
    );
  });
  it('a half-inch valve is pulled up to 250 lbf·in (handbook part 2, construction 9)', () => {
    const half = planOf(valveWith('ball-three-piece', {}, 0.5)).find(
      ({ task }) => task.kind === 'bolt-up',
    )?.task;
    expect(half).toMatchObject({ torque: { value: 250, unit: 'lbf·in' } });
  });
});

describe('10 control-globe-double-seat', () => {
  const steps = planOf(valveWith('control-globe-double-seat'));
  const turned = planOf(
    valveWith('control-globe-double-seat', {
      moved: { kind: 'spring-diaphragm', action: 'air-to-open', coupling: 'screwed' },
    }),
  );
  it('the ladder: lubricate five or six turns, tighten hand-tight plus one, add with 45° cut rope', () => {
    expectOrder(
      steps,
      ['diagnose', /five or six turns/],
      ['diagnose', /hand-tight plus one turn/],
      // The rung that opens the box waits for the isolation.
      ['isolate', /two sign/i],
      ['strip', /45°/],
    );
    expectTrap(steps, 'diagnose', /evenly/, /crooked/);
    expectTrap(steps, 'strip', /45°/, /below the lantern ring/);
    for (const step of steps.filter(({ id }) => /gland\.|gland-add/.test(id) && id !== 'service.gland'))
      if (step.stage === 'diagnose' || step.id === 'strip.gland-add') expect(step.optional).toMatch(/leak/);
  });
  it('the other school goes straight to a repack', () => {
    const job = new BenchJob(valveWith('control-globe-double-seat'));
    job.send({ kind: 'choose-way', body: { way: { question: 'leakingGland', choice: 'repack' } } });
    expect(job.plan().steps.some(({ id }) => id.startsWith('diagnose.gland'))).toBe(false);
  });
  it('air-to-close: bonnet, then plug, then blind head; air-to-open: blind head first and the plug downwards', () => {
    expectOrder(
      steps,
      ['strip', /lift the bonnet/i],
      ['strip', /plug and stem up/i],
      ['strip', /blind head/i],
    );
    expectOrder(
      turned,
      ['strip', /blind head first/i],
      ['strip', /gland nuts slack/i],
      ['strip', /air lifts the plug.*plug unscrewed/i],
      ['strip', /downwards/],
      ['strip', /lift the bonnet/i],
    );
  });
  it('seats stay in unless a call takes them out; the larger is told; rings below the lantern ring', () => {
    expect(steps.flatMap(({ off }) => off)).not.toContain('upper seat ring');
    const job = new BenchJob(valveWith('control-globe-double-seat')).workTo('inspect.upper-seat-ring');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.upper-seat-ring', finding: { kind: 'cracked' } },
    });
    const fit = job.step('fit.upper-seat-ring');
    expect(fit?.title).toMatch(/new upper seat ring in/);
    // Blued and ground only once the new ring stands in the body: both seats bear together.
    for (const { id } of job
      .plan()
      .steps.filter(({ task, stage }) => stage === 'repair' && task.kind === 'lapping'))
      expect([...waitsFor(job.plan(), id)], id).toContain('fit.upper-seat-ring');
    expect(find(steps, 'rebuild', /below the lantern ring/)).toBeDefined();
    expect(find(steps, 'inspect', /larger/)).toBeDefined();
  });
  it('coupled where air shuts it, never turned while seated; leak-through and half travel have their checks', () => {
    // Air to close: at the high end of 3–15 psi (handbook part 6.2); at 3 psi it stands open.
    expectTrap(steps, 'rebuild', /15 psi/, /never turn the plug while it is seated/i);
    expectTrap(steps, 'diagnose', /lock nuts/, /pipe grip/);
    const { features } = defaultValve('control-globe-double-seat');
    expect([...priorsOf('half travel', features).keys()]).toEqual(
      expect.arrayContaining(['packing too tight', 'debris', 'bottom guide blocked', 'guides galled']),
    );
  });
});

describe('11 control-balanced-cage', () => {
  const valve = valveWith('control-balanced-cage');
  const steps = planOf(valve);
  it('preload gone before the nuts, straight up, pin, plug, stem, seat ring', () => {
    expectOrder(
      steps,
      ['strip', /preload is gone/],
      ['strip', /bonnet nuts off/i],
      ['strip', /straight up: bonnet/],
      ['strip', /with a punch/],
      ['strip', /anticlockwise/],
      ['strip', /stem out of the bonnet/i],
      ['strip', /seat ring/],
    );
  });
  it('insert screw torques, long lip down, wooden block, pin flush, seat gasket before the bonnet', () => {
    expectOrder(
      steps,
      ['rebuild', /60 lbf·ft.*125 lbf·ft/],
      ['rebuild', /long lip down/],
      ['rebuild', /wooden block/],
      ['rebuild', /guide gasket/],
      ['rebuild', /flush/],
      ['rebuild', /seat gasket/],
      ['rebuild', /bonnet gasket/],
      ['rebuild', /bolt up/i],
      ['rebuild', /pack the stuffing box/i],
    );
    const bolts = steps.find(({ task }) => task.kind === 'bolt-up')?.task;
    if (bolts?.kind !== 'bolt-up') throw new Error('no bolt-up');
    expect(bolts.passes.map(({ percent }) => percent)).toEqual([25, 50, 75, 100, 100]);
  });
  it('plug, pin and stem are renewed as a set', () => {
    const job = new BenchJob(valve).workTo('inspect.plug').send({
      kind: 'make-finding',
      body: { step: 'inspect.plug', finding: { kind: 'galled' } },
    });
    expect(['plug', 'plug pin', 'stem'].map((part) => job.plan().calls.get(part as 'plug')?.verdict)).toEqual(
      ['renew', 'renew', 'renew'],
    );
  });
});

describe('12 control-ball-in-venturi', () => {
  const cartridge = (service: 'first' | 'second') =>
    valveWith('control-ball-in-venturi', { seat: { kind: 'cartridge', face: 'hard-faced', service } });
  it('actuator to closed, coupler, bonnet with ball and cage, cartridge evenly', () => {
    const steps = planOf(cartridge('first'));
    expectOrder(
      steps,
      ['strip', /actuator to closed/i],
      ['strip', /split coupler/i],
      ['strip', /as they clear/],
      ['strip', /cartridge out/i],
      ['strip', /wear bushings/i],
      ['rebuild', /white lithium/],
      ['rebuild', /cartridge/],
      ['rebuild', /stem, cage and ball/i],
      ['rebuild', /level/],
      ['rebuild', /pack the stuffing/i],
      ['rebuild', /equal engagement/],
    );
    expectTrap(steps, 'rebuild', /equal engagement/, /ball home/);
    expectTrap(steps, 'rebuild', /ball free/, /over-stroke/);
  });
  it('first service turns the cartridge and records it; the second wants new seats', () => {
    expect(find(planOf(cartridge('first')), 'rebuild', /180°.*second time/i)).toBeDefined();
    expect(renewed(cartridge('first'))).not.toContain('cartridge');
    expect(renewed(cartridge('second'))).toContain('cartridge');
    expect(find(planOf(cartridge('second')), 'rebuild', /180°/)).toBeUndefined();
  });
});

describe('13 control-rotary-eccentric', () => {
  const reversal = (form: 'barrel across' | 'mirror position', reversing = true) =>
    planOf(
      valveWith('control-rotary-eccentric', {
        moved: { kind: 'rolling-diaphragm', action: 'air-to-close', form, reversing },
      }),
    );
  it('barrel across: mid-travel, pin out, vented, barrel over, handwheel opposite, closed mark, 7 psi a quarter inch', () => {
    const steps = reversal('barrel across');
    expectOrder(
      steps,
      ['strip', /mid-travel/],
      ['strip', /vent, then/i],
      ['strip', /handwheel screw/i],
      ['rebuild', /other side of the yoke/],
      ['rebuild', /opposite the barrel/],
      ['rebuild', /air to extend/i],
      ['rebuild', /closed mark/],
      ['rebuild', /scribe.*7 psi.*1\/4 in/i],
      ['rebuild', /turn the clevis.*7 psi/i],
      ['set up', /full cycle/],
    );
    expectTrap(steps, 'rebuild', /closed mark/, /over-stroke/);
  });
  it('the older form goes to the mirror position, and is set at 7 psi where its spring shuts it then', () => {
    const steps = reversal('mirror position');
    expectOrder(
      steps,
      ['strip', /packing studs and yoke studs/i],
      ['rebuild', /mirror position/],
      ['rebuild', /turn the clevis.*7 psi/i],
    );
    expect(find(steps, 'rebuild', /opposite the barrel/)).toBeUndefined();
  });
  it('not reversed, air shuts it: the clevis is set at the end of the signal that does', () => {
    expect(find(reversal('barrel across', false), 'rebuild', /turn the clevis.*15 psi/i)).toBeDefined();
    expect(find(reversal('barrel across', false), 'rebuild', /scribe/i)).toBeUndefined();
  });
  it('the pin that keeps the shaft in is warned of, and goes back; nothing is reversed unasked', () => {
    const steps = reversal('barrel across', false);
    expectTrap(steps, 'strip', /pin out of the bonnet/i, /holds the shaft/);
    expectTrap(steps, 'rebuild', /packing box ring/i, /blow out/);
    expect(find(steps, 'rebuild', /reverse,/i)).toBeUndefined();
  });
});

describe('14 control-butterfly', () => {
  it('nothing is reversed unasked: the slot noted, no air on where its spring shuts it', () => {
    const steps = planOf(valveWith('control-butterfly'));
    expect(find(steps, 'rebuild', /other slot/)).toBeUndefined();
    expect(find(steps, 'rebuild', /close the disc.*no air on/i)).toBeDefined();
  });
  it('cotter, pin, set screw, slot noted; other slot, disc closed, 15 psi, clevis, cotter, plate turned over', () => {
    const steps = planOf(
      valveWith('control-butterfly', {
        moved: { kind: 'vane-arm', action: 'air-to-open', reversing: true },
      }),
    );
    expectOrder(
      steps,
      ['strip', /cotter/i],
      ['strip', /keyed slot/],
      ['rebuild', /other slot/],
      ['rebuild', /15 psi/],
      ['rebuild', /holes meet/],
      ['rebuild', /new cotter/],
      ['rebuild', /plate over/],
      ['set up', /pivot along the arm/],
    );
  });
});

describe('15 control-lowpressure-diaphragm', () => {
  const variant = (
    which: 'single acting' | 'double acting' | 'adjustable double acting',
    springPlate: boolean,
    port: 'full' | 'reduced' = 'reduced',
  ) =>
    valveWith('control-lowpressure-diaphragm', {
      moved: { kind: 'diaphragm-on-stem', variant: which, springPlate },
      seat: { kind: 'ported', port },
    });
  it('screw backed off before any bolt, oil tipped out, seals picked; oil over the hole and not tilted after', () => {
    const steps = planOf(variant('single acting', true));
    expectOrder(
      steps,
      ['strip', /adjusting screw right off/],
      ['strip', /two opposing last/],
      ['strip', /tip out the oil/],
      ['strip', /backup rings/],
      ['rebuild', /wound in clockwise.*right down/],
      ['rebuild', /just spread to the walls/],
      ['rebuild', /stem guide/],
      ['rebuild', /right way up/],
      ['rebuild', /greased both sides/],
      ['rebuild', /communication hole/],
      ['rebuild', /star pattern/],
    );
    expectTrap(steps, 'strip', /adjusting screw/, /spring/i);
    expectTrap(steps, 'rebuild', /communication hole/, /not tilt/);
  });
  it('the plain double-acting variant has neither spring nor adjusting screw', () => {
    const steps = planOf(variant('double acting', false));
    const off = steps.flatMap((step) => step.off);
    expect(off).not.toContain('spring');
    expect(off).not.toContain('adjusting screw');
    expect(planOf(variant('adjustable double acting', true)).flatMap((step) => step.off)).toContain(
      'adjusting screw',
    );
  });
  it('without a spring plate the bolts are started by pressing down', () => {
    expect(find(planOf(variant('single acting', false)), 'rebuild', /press down/)).toBeDefined();
    expect(find(planOf(variant('single acting', true)), 'rebuild', /press down/)).toBeUndefined();
  });
  it('a reduced port takes a seat that is not in the kit; a full port has it in the body', () => {
    expectTrap(planOf(variant('single acting', true)), 'receive', /kit/, /not in the kit/);
    const full = planOf(variant('single acting', true, 'full'));
    expectTrap(full, 'receive', /kit/, /condemns the body/);
    expect(full.flatMap((step) => step.off)).not.toContain('port seat');
  });
});

describe('16 control-hygienic-seat', () => {
  const actuator = (size: 'small' | 'large') =>
    valveWith('control-hygienic-seat', { moved: { kind: 'hygienic-cylinder', size } });
  it('small: wire into its slot, 360° and 180° more; air on for plug and clip; food-grade grease', () => {
    const steps = planOf(actuator('small'));
    expectOrder(
      steps,
      ['strip', /clamp off/],
      ['rebuild', /360°.*180°/],
      ['rebuild', /clip on the rod/],
      ['rebuild', /clamp on/],
    );
    expect(find(steps, 'rebuild', /food-grade/)).toBeDefined();
    expectTrap(steps, 'strip', /locking wire/, /clamped springs/i);
  });
  it('large: plug unscrewed, upper clamp, actuator and bonnet as one on a stand, cylinder turned to draw the wire', () => {
    expectOrder(
      planOf(actuator('large')),
      ['strip', /unscrew the plug/],
      ['strip', /as one.*stand/],
      ['strip', /draw the wire/],
      ['strip', /cylinder, its three o-rings/i],
    );
  });
  it('every seal is new', () => {
    expect(renewed(actuator('large'))).toEqual(
      expect.arrayContaining([
        'lip seal',
        'actuator lip seal',
        'cylinder O-ring',
        'piston guide rings',
        'clamp seat ring',
      ]),
    );
  });
});

describe('17 dump-weight-lever', () => {
  const sizes = (which: '2-3 in' | '4-6 in') =>
    valveWith('dump-weight-lever', { moved: { kind: 'weight-lever', sizes: which } });
  const steps = planOf(sizes('2-3 in'));
  it('in its order, with its torques', () => {
    expectOrder(
      steps,
      ['strip', /weight, lever/],
      ['strip', /shaft out/i],
      ['strip', /four bonnet bolts/i],
      ['strip', /diaphragm bolt out with the stem/i],
      ['strip', /pin out, stem drawn through/i],
      ['strip', /housing off/i],
      ['strip', /communication hole/i],
      ['rebuild', /upside down.*ratio plug/i],
      ['rebuild', /pivot on, to torque · To 10 lbf·ft/i],
      ['rebuild', /90° anticlockwise from the inlet/],
      ['rebuild', /by hand, then criss-cross/],
      ['rebuild', /stem through the bolt, pin held/],
      ['rebuild', /with a crow-foot · To 10 lbf·ft/],
      ['rebuild', /rounded side to the inlet/],
      ['rebuild', /bonnet bolts criss-cross/i],
      ['rebuild', /flat down on the long end/],
      ['rebuild', /trunnion plug.*To 25 lbf·ft/],
      ['rebuild', /plus half a turn/],
      ['rebuild', /nipple and pot three to four full turns/],
      ['set up', /hydrostatic head/],
    );
    const torques = steps.flatMap(({ task }) => (task.kind === 'bolt-up' ? [task.torque] : []));
    expect(torques).toEqual([
      { dimension: 'torque', value: 25, unit: 'lbf·ft' },
      { dimension: 'torque', value: 25, unit: 'lbf·ft' },
    ]);
    expectTrap(steps, 'rebuild', /half a turn/, /no more/);
    const figures = (id: string) => {
      const task = steps.find((step) => step.id === id)?.task;
      return task?.kind === 'measure' ? task.asks.map(({ what, example }) => `${what}: ${example}`) : [];
    };
    expect(figures('rebuild.pivot')).toEqual(['torque of the pivot: 10 lbf·ft']);
    expect(figures('rebuild.diaphragm-bolt')).toEqual(['torque of the diaphragm bolt: 10 lbf·ft']);
    expect(figures('rebuild.trunnion-plug')).toEqual(['torque of the trunnion plug: 25 lbf·ft']);
    const bonnet = steps.find((step) => step.id === 'rebuild.bolt-up')?.task;
    expect(bonnet?.kind === 'bolt-up' && bonnet.bolts).toBe(4);
  });
  it('2–3 in has an O-ring on the trunnion plug where 4–6 in has a gasket and a follower', () => {
    const off = (which: '2-3 in' | '4-6 in') => planOf(sizes(which)).flatMap((step) => step.off);
    expect(off('2-3 in')).toContain('trunnion O-ring');
    expect(off('2-3 in')).not.toContain('packing follower');
    expect(off('4-6 in')).toEqual(expect.arrayContaining(['trunnion gasket', 'packing follower']));
    expect(off('4-6 in')).not.toContain('trunnion O-ring');
  });
  it('the drip pot is cleaned though no kit has it; a sound seat is left alone', () => {
    expectTrap(steps, 'receive', /kit/, /in no kit/);
    expect(find(steps, 'rebuild', /clean drip pot/i)).toBeDefined();
    expect(steps.flatMap(({ off }) => off)).not.toContain('removable seat');
    expect(find(steps, 'inspect', /where it stands/)).toBeDefined();
  });
});

describe('18 regulator-self-acting', () => {
  const steps = planOf(valveWith('regulator-self-acting'));
  it('range spring first, body tapped loose, seat with a bead; body till it bottoms; set by gauge', () => {
    expectOrder(
      steps,
      ['strip', /range spring let up/i],
      ['strip', /housing bolts.*range spring out/i],
      ['strip', /out of the top as one/i],
      ['strip', /tap the body loose/i],
      ['strip', /seat out with a socket/i],
      ['rebuild', /small bead of sealant/],
      ['rebuild', /bead of sealant.*until it bottoms/],
      ['rebuild', /threadlocker/],
      ['rebuild', /in from the top/],
      ['rebuild', /range spring.*housing over them/i],
      ['rebuild', /just feels the spring/],
      ['set up', /by gauge/],
      ['test', /creep/i],
    );
    expectTrap(steps, 'rebuild', /return spring and sliding gate/i, /must not bind/);
  });
});

describe('19 relief-shear-pin', () => {
  const steps = planOf(valveWith('relief-shear-pin'));
  it('cover, pins, bonnet, stem, sub, cushion, piston; back with new pins of the right size', () => {
    expectOrder(
      steps,
      ['strip', /nameplate and threads/],
      ['strip', /safety cover/i],
      ['strip', /shear pin out/i],
      ['strip', /bonnet, cushion and stem drawn together/i],
      ['strip', /stem out of bonnet and cushion/i],
      ['strip', /liner sub/i],
      ['strip', /cushion off/i],
      ['strip', /soft blocks/],
      ['rebuild', /away from the bonnet/],
      ['rebuild', /pass freely/],
      ['rebuild', /bonnet and start it in the body, first/i],
      ['rebuild', /through the body into the bonnet/],
      ['rebuild', /sub tight/],
      ['rebuild', /^bonnet tight/i],
      ['rebuild', /new shear pins/i],
      ['rebuild', /cover on/i],
    );
  });
  it('only the maker’s pin: never a nail, a welding rod or a bolt', () => {
    expectTrap(steps, 'rebuild', /shear pins/, /nail.*welding rod.*bolt/);
    expectTrap(steps, 'strip', /cushion/, /ruins/);
    expect(renewed(valveWith('relief-shear-pin'))).toEqual(
      expect.arrayContaining(['shear pin', 'sub O-ring', 'relief piston']),
    );
  });
});

describe('20 solenoid-pilot', () => {
  const steps = planOf(valveWith('solenoid-pilot'));
  it('power off, coil, armature, orifice to the light, cover, diaphragm; and back the right way up', () => {
    expectOrder(
      steps,
      ['isolate', /power off/i],
      ['strip', /coil off/],
      ['strip', /armature/i],
      ['strip', /to the light/],
      ['strip', /four screws; cover/i],
      ['strip', /wipe/],
      ['rebuild', /metal disc up.*wide end/],
      ['rebuild', /both o-rings/i],
      ['rebuild', /tight coils at the top/],
      ['rebuild', /permanent magnet/],
      ['rebuild', /coil on/i],
      ['test', /power on/i],
    );
  });
});

describe('21 relief-spring', () => {
  const steps = planOf(valveWith('relief-spring'));
  it('popped as found before anything is touched; turns and notches counted; three pops, tight, sealed', () => {
    expectOrder(
      steps,
      ['strip', /as-found pop/i],
      ['strip', /cap off/],
      ['strip', /notch count/],
      ['strip', /counting the turns/],
      ['strip', /spindle, spring and washers/i],
      ['inspect', /free length/],
      ['rebuild', /by the count/i],
      ['set up', /cold differential/],
      ['test', /three consistent pops/i],
      ['test', /tightness/],
      ['test', /seal/],
    );
    expectOrder(
      steps,
      ['strip', /spindle, spring and washers/i],
      ['inspect', /runout of the spindle/i],
      ['rebuild', /by the count/i],
    );
  });
  it('disc and nozzle are lapped apart, never on each other; only an authorised repairer sets it', () => {
    const laps = steps.filter(({ task }) => task.kind === 'lapping');
    expect(laps.map(({ parts }) => parts.join())).toEqual(['disc', 'nozzle']);
    for (const lap of laps) {
      expect(lap.task).toMatchObject({ against: 'a block or lap' });
      expect(lap.caution).toMatch(/never/i);
    }
    expectTrap(steps, 'set up', /set at/i, /authorised/);
  });
});

describe('actuators and positioners', () => {
  const steps = planOf(valveWith('control-ball-in-venturi'));
  it('piston: range spring, cap screws, positioner and its O-ring, cylinder with piston, bushings; bore measured', () => {
    expectOrder(
      steps,
      ['strip', /range spring off/i],
      ['strip', /pry the cylinder/i],
      ['strip', /force the piston/i],
      ['strip', /yoke seal bushing/],
      ['inspect', /inside micrometer/],
      ['rebuild', /sparingly/],
    );
    expectTrap(steps, 'strip', /positioner off/, /O-ring/);
  });
  it('relay: nozzle held down till the screws are tight; flappers cleaned first', () => {
    expectTrap(steps, 'rebuild', /nozzle held down/, /never balances/);
    expectOrder(steps, ['strip', /flappers/i], ['strip', /relay apart/i]);
  });
  it('positioner: 9 psi to mid-travel at 75 % of supply, span by the range spring, zero after it, locked, and stroked last', () => {
    expectOrder(
      steps,
      ['set up', /35 psig to 100 psig/],
      ['set up', /9 psig in.*75 %/],
      ['set up', /12 psi of range.*anticlockwise.*Zero after it/],
      ['set up', /lock both/],
      ['set up', /five points up and down/i],
    );
  });
});

describe('a valve that mixes features needs no new code', () => {
  it('balanced cage with a split coupler and a piston actuator: the coupler’s care, the cage’s order, the cylinder’s seals', () => {
    const valve = valveWith('control-balanced-cage', {
      moved: { kind: 'piston', coupling: 'split' },
      positioner: { kind: 'on-cylinder' },
    });
    const steps = planOf(valve);
    expectOrder(
      steps,
      ['strip', /split coupler off/i],
      ['strip', /actuator off the bonnet/i],
      ['strip', /straight up/],
      ['strip', /with a punch/],
      ['rebuild', /long lip down/],
      ['rebuild', /bolt up the bonnet/i],
      ['rebuild', /pack the stuffing/i],
      ['rebuild', /equal engagement/],
      ['set up', /9 psi/],
    );
    expect(find(steps, 'strip', /pry the cylinder/i)).toBeDefined();
    expect(find(steps, 'strip', /lock nuts/)).toBeUndefined();
    expect(find(steps, 'rebuild', /ball/)).toBeUndefined();
  });
  it('swivel-disc globe on a spring diaphragm: bench set, no bushing, no handwheel', () => {
    const valve = valveWith('globe-bolted', {
      stem: { motion: 'sliding' },
      bushing: { held: 'none' },
      backseat: false,
      moved: { kind: 'spring-diaphragm', action: 'air-to-open', coupling: 'screwed' },
    });
    const job = new BenchJob(valve);
    const taken = job.plan().steps.flatMap((step) => step.off);
    expect(taken).not.toContain('handwheel');
    expect(find(job.plan().steps, 'set up', /bench set/i)).toBeDefined();
    expect(taken).toEqual(expect.arrayContaining(['disc', 'stem', 'actuator diaphragm']));
  });
});

describe('what the trade disagrees on (handbook part 1): the default, and the other way', () => {
  const pitted = () =>
    new BenchJob().workTo('inspect.seat').send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'pitted', depth: '0.008 in' } },
    });
  it('repair or renew: both sums are compared before metal is cut; a site that always renews orders at once', () => {
    const job = pitted();
    expect(job.step('repair.compare-seat')?.optional).toBeDefined();
    expect(job.step('repair.reface-seat')?.after).toContain('repair.compare-seat');
    job.send({ kind: 'choose-way', body: { way: { question: 'repairOrRenew', choice: 'renew' } } });
    expect(job.plan().calls.get('seat')?.verdict).toBe('renew');
    expect(job.step('order.seat')).toBeDefined();
  });
  it('old packing: wood in a finished chamber, a hook in a plain box, or as the site will have it', () => {
    const tool = (chamber: 'plain' | 'finished', choice?: 'hook' | 'non-metallic') => {
      const { packing } = defaultValve('control-globe-double-seat').features;
      const job = new BenchJob(
        valveWith('control-globe-double-seat', {
          packing: { ...packing, chamber } as RawFeatures['packing'],
        }),
      );
      if (choice) job.send({ kind: 'choose-way', body: { way: { question: 'packingRemoval', choice } } });
      return job.step('strip.packing')?.tools.join() ?? '';
    };
    expect(tool('finished')).toMatch(/wood/);
    expect(tool('plain')).toMatch(/hook/);
    expect(tool('plain', 'non-metallic')).toMatch(/wood/);
    expect(tool('finished', 'hook')).toMatch(/hook/);
  });
  it('spotting, bluing and pressure go by the way chosen', () => {
    const job = pitted();
    const lap = () => say(job.step('repair.lap#1')?.why ?? '', 'US');
    expect(lap()).toMatch(/[Ll]ight pressure.*locked to the stem/);
    expect(job.step('repair.blue#1')?.why).toMatch(/quarter turn/);
    job
      .send({ kind: 'choose-way', body: { way: { question: 'lappingPressure', choice: 'guided tool' } } })
      .send({ kind: 'choose-way', body: { way: { question: 'spotting', choice: 'free on a lapping tool' } } })
      .send({ kind: 'choose-way', body: { way: { question: 'bluing', choice: 'straight down' } } });
    expect(lap()).toMatch(/[Ff]irm.*lugs/);
    expect(job.step('repair.blue#1')?.why).toMatch(/straight home/);
  });
  it('gland: torque and repeats where a figure is on file, a turn on soft packing where there is none', () => {
    const globe = defaultValve();
    const box = globe.features.packing;
    const withTorque = valveWith('globe-bolted', {
      packing: {
        ...box,
        glandTorque: { dimension: 'torque', value: 30, unit: 'lbf·ft' },
      } as RawFeatures['packing'],
    });
    expect(say(new BenchJob(withTorque).step('setup.gland')?.why ?? '', 'US')).toMatch(/three times more/);
    expect(new BenchJob(valveWith('control-globe-double-seat')).step('setup.gland')?.why).toMatch(
      /one turn on soft/,
    );
  });
});

describe('cautions that every job must show (handbook part 1)', () => {
  it('oxygen: nothing oily is fetched, and every step that would have greased says so', () => {
    const oxygen = valveWith('globe-bolted');
    const steps = planOf({ ...oxygen, medium: { name: 'Oxygen', hazards: ['oxygen'] } });
    for (const step of steps)
      expect(step.consumables.join(), step.id).not.toMatch(/grease|anti-seize|\boil\b/i);
    expect(steps.find(({ id }) => id === 'rebuild.stem-in')?.caution).toMatch(/no oil or grease at all/);
  });
  it('hydrogen sulphide: breathing apparatus before anything is opened', () => {
    const sour = planOf({
      ...valveWith('gate-slab-unitised'),
      medium: { name: 'Sour gas', hazards: ['h2s'] },
    });
    expect(sour.find(({ id }) => id === 'isolate.zero.upstream-pressure')?.caution).toMatch(
      /[Bb]reathing apparatus/,
    );
  });
  it('zero is proved, or decontamination seen, before any joint of any construction', () => {
    for (const id of CONSTRUCTION_IDS)
      for (const place of placesOf(defaultValve(id).features, 'overhaul')) {
        const steps = planOf(valveWith(id), { place });
        const proved = steps.findIndex(
          (step) =>
            step.id === (place === 'bare' ? 'isolate.decontaminated' : 'isolate.zero.upstream-pressure'),
        );
        const first = steps.findIndex(({ off }) => off.length > 0);
        expect(proved, `${id} ${place}`).toBeGreaterThanOrEqual(0);
        expect(first).toBeGreaterThan(proved);
      }
  });
  it('a valve taken out goes back on its bottom bolts; a slab gate’s body never left', () => {
    const back = (id: ConstructionId, place: 'in line' | 'out and back') =>
      planOf({ ...valveWith(id), ends: 'flanged' }, { place }).find((step) => step.id === 'lift.back');
    expect(say(back('globe-bolted', 'out and back')?.why ?? '', 'US')).toContain('bottom bolts');
    expect(back('gate-slab-unitised', 'in line')).toBeUndefined();
  });
  it('no pipe grip on any stem that comes out by hand', () => {
    for (const id of [
      'globe-bolted',
      'gate-wedge',
      'control-globe-double-seat',
      'control-balanced-cage',
    ] as const)
      expectTrap(planOf(valveWith(id)), 'strip', /stem/i, /pipe grip/);
  });
});

describe('what cannot stand together is refused, and why', () => {
  it.each<[ConstructionId, Change, RegExp]>([
    ['globe-bolted', { closure: { kind: 'ball' } }, /ball cannot be reached through a bolted bonnet/i],
    ['globe-bolted', { moved: { kind: 'solenoid' } }, /not moved by a solenoid/i],
    ['globe-bolted', { positioner: { kind: 'side-mounted' } }, /positioner needs an air actuator/i],
    ['globe-bolted', { bushing: { held: 'none' } }, /needs its threaded bushing/i],
    ['control-balanced-cage', { balance: { kind: 'none' } }, /balance/i],
    ['control-ball-in-venturi', { limits: { kind: 'none' } }, /position-seated/i],
    ['control-balanced-cage', { positioner: { kind: 'on-cylinder' } }, /only a cylinder/i],
    ['check-swing', { lantern: { kind: 'lantern-ring', lubricator: true } }, /lantern/i],
    [
      'control-lowpressure-diaphragm',
      { moved: { kind: 'diaphragm-on-stem', variant: 'double acting', springPlate: true } },
      /no spring plate/i,
    ],
    ['control-globe-double-seat', { lubrication: { kind: 'sealant' } }, /sealant/i],
  ])('%s with %j', (id, change, why) => {
    expect(() => valveWith(id, change)).toThrow(why);
  });
});
