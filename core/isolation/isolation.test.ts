import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, psig, quantity, valueIn } from '../quantity';
import { anyFeatures } from '../testing/any-features';
import { BenchJob, INSPECTOR, LEAD, TECHNICIAN } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { closureOf, CONSTRUCTIONS, CONSTRUCTION_IDS, defaultValve, type Valve } from '../valve';
import {
  checkLine,
  energiesOf,
  lineSchema,
  pointsOf,
  SHUT_BY,
  storedIn,
  springEnergy,
  usualLine,
  type Line,
} from '.';

const side = fc.record({ shutBy: fc.constantFrom(...SHUT_BY), vent: fc.boolean() });
const looseLine = fc.record({
  upstream: side,
  downstream: side,
  bypass: fc.boolean(),
  bodyVent: fc.boolean(),
  air: fc.boolean(),
  signal: fc.constantFrom('none', 'pneumatic', 'electric'),
  power: fc.boolean(),
});
const anyLine: fc.Arbitrary<Line> = looseLine
  .filter((line) => checkLine(line).length === 0)
  .map((line) => lineSchema.parse(line));

const inLine = (valve: Valve, line: Line): BenchJob => {
  const job = new BenchJob(valve).workTo('isolate.line');
  return job.send({ kind: 'draw-line', body: { step: 'isolate.line', line } });
};

describe('the order of an isolation (property; handbook part 1: never open a joint until zero is proved)', () => {
  it('no step of the strip comes before every energy is proved and two have signed, in any valve and line', () => {
    fc.assert(
      fc.property(anyFeatures, anyLine, (features, line) => {
        const valve: Valve = { ...defaultValve(), features };
        const plan = inLine(valve, line).plan();
        const proofs = plan.steps.filter(({ id }) => id.startsWith('isolate.zero.'));
        const wanted = energiesOf(valve, line).filter(({ proof }) => proof.kind !== 'held');
        expect(proofs).toHaveLength(wanted.length);
        const first = [...proofs.map(({ id }) => id), 'isolate.sign'];
        const tooSoon = plan.steps.flatMap(({ stage, id }) => {
          const before = stage === 'strip' ? waitsFor(plan, id) : undefined;
          return before
            ? first.filter((each) => !before.has(each)).map((each) => `${id} before ${each}`)
            : [];
        });
        expect(tooSoon).toEqual([]);
      }),
      { seed: 51, numRuns: 150 },
    );
  }, 120_000);

  it('blocks are shut before vents are opened, the valve is placed before its air goes', () => {
    fc.assert(
      fc.property(anyFeatures, anyLine, (features, line) => {
        const ids = pointsOf({ ...defaultValve(), features }, line).map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        const at = (id: string) => ids.indexOf(id);
        for (const where of ['upstream', 'downstream']) {
          const [shut, vent] = [at(`block.${where}`), at(`vent.${where}`)];
          if (shut >= 0 && vent >= 0) expect(shut).toBeLessThan(vent);
        }
        for (const placed of ['half-open', 'close', 'body-bleed'])
          if (at(placed) >= 0 && at('air') >= 0) expect(at(placed)).toBeLessThan(at('air'));
        if (at('close') >= 0) expect(at('body-bleed')).toBeLessThan(at('close'));
        for (const point of ids) expect(at('bypass') <= at(point) || at('bypass') < 0).toBe(true);
      }),
      { seed: 52 },
    );
  });

  it('every energy that can be let out has a point that lets it out', () => {
    fc.assert(
      fc.property(anyFeatures, anyLine, (features, line) => {
        const valve = { ...defaultValve(), features };
        const out = new Set(pointsOf(valve, line).flatMap((point) => point.for));
        for (const { kind, proof } of energiesOf(valve, line))
          if (proof.kind !== 'held' && kind !== 'heat') expect([...out], kind).toContain(kind);
      }),
      { seed: 53 },
    );
  });

  it('is taken off in the mirror order, after the tests, before it is handed over', () => {
    for (const construction of CONSTRUCTION_IDS) {
      const valve = defaultValve(construction);
      const line = usualLine(valve.features);
      const { steps } = new BenchJob(valve).plan();
      const on = steps.filter(({ id }) => id.startsWith('isolate.')).map(({ id }) => id.slice(8));
      const off = steps
        .filter(({ id }) => id.startsWith('restore.') && id !== 'restore.sealed-open')
        .map(({ id }) => id.slice(8));
      const restored = pointsOf(valve, line)
        .filter(({ restore }) => restore)
        .map(({ id }) => id);
      expect(off).toEqual([...restored.toReversed(), 'sign']);
      expect(on.filter((id) => restored.includes(id))).toEqual(restored);
      const place = (id: string) => steps.findIndex((step) => step.id === id);
      const staysInLine = closureOf(valve.features).staysInLine === true;
      const before = steps.findLastIndex(({ stage }) => stage === (staysInLine ? 'set up' : 'test'));
      expect(place(`restore.${off[0] ?? ''}`)).toBeGreaterThan(before);
      expect(place('restore.sign')).toBeLessThan(place('release.place'));
    }
  });
});

describe('by construction (handbook part 1)', () => {
  const pointIds = (id: (typeof CONSTRUCTION_IDS)[number]) => {
    const valve = defaultValve(id);
    return pointsOf(valve, usualLine(valve.features)).map((point) => point.id);
  };
  it('half open for a ball and a clamped-yoke globe, so that no pressure is trapped', () => {
    expect(pointIds('ball-three-piece')).toContain('half-open');
    expect(pointIds('globe-yoke-clamp')).toContain('half-open');
  });
  it('a slab gate is bled through its bonnet fitting, then closed', () => {
    expect(pointIds('gate-slab-unitised').slice(2, 4)).toEqual(['body-bleed', 'close']);
  });
  it('springs that stay loaded are named with what holds them until the strip', () => {
    for (const id of CONSTRUCTION_IDS) {
      const valve = defaultValve(id);
      const held = energiesOf(valve, usualLine(valve.features)).filter(({ proof }) => proof.kind === 'held');
      const sprung = [
        'check-recirculation',
        'control-hygienic-seat',
        'regulator-self-acting',
        'relief-spring',
      ];
      if (sprung.includes(id)) expect(held, id).toHaveLength(1);
    }
  });
  it('a double block is bled between; an open end has nothing to shut', () => {
    const valve = defaultValve();
    const line = lineSchema.parse({
      ...usualLine(valve.features),
      upstream: { shutBy: 'double block and bleed', vent: true },
      downstream: { shutBy: 'open end', vent: false },
    });
    const ids = pointsOf(valve, line).map(({ id }) => id);
    expect(ids.slice(0, 3)).toEqual(['block.upstream', 'block-2.upstream', 'bleed.upstream']);
    expect(ids.some((id) => id.endsWith('downstream'))).toBe(false);
    expect(energiesOf(valve, line).map(({ kind }) => kind)).not.toContain('downstream pressure');
  });
  it('a side with nothing to prove it by is refused in words', () => {
    const read = lineSchema.safeParse({
      ...usualLine(CONSTRUCTIONS['gate-wedge'].features),
      upstream: { shutBy: 'block valve', vent: false },
    });
    expect(read.error?.issues[0]?.message).toMatch(/Nothing proves that the upstream side is at zero/);
  });
});

describe('stored energy', () => {
  it('20 L at 7.0 MPa is 250 kJ as gas and 223 J as water (ASME PCC-2 art. 501, handbook part 3)', () => {
    const valve: Valve = {
      ...defaultValve(),
      medium: { name: 'Gas', hazards: [], pressure: quantity('gauge pressure', 7, 'MPa g') },
    };
    const line = { ...usualLine(valve.features), trapped: quantity('volume', 20, 'L') };
    const [gas, water] = storedIn(valve, line);
    expect(gas && valueIn(gas.energy, 'kJ')).toBeCloseTo(250, 0);
    expect(water && valueIn(water.energy, 'J')).toBeCloseTo(223, 0);
    expect(storedIn(valve, usualLine(valve.features)), 'unknown volume, no figure').toEqual([]);
  });
  it('a 69 in² actuator of 3–15 psi over 3/4 in holds ½·k·x²: k 1 104 lbf/in (handbook part 3), x 15/16 in', () => {
    const figures = {
      range: { low: psig(3), high: psig(15) },
      area: quantity('area', 69, 'in²'),
      travel: inches(0.75),
    };
    expect(valueIn(springEnergy(figures), 'J')).toBeCloseTo(0.5 * 1104 * 0.9375 ** 2 * 0.112985, 1);
  });
});

describe('locks and signatures', () => {
  const block = 'isolate.block.upstream';
  it('a lock hangs in one place at a time', () => {
    const job = new BenchJob().workTo(block);
    job.send({ kind: 'hang-lock', body: { step: block, lock: '7', tag: 'T1' } });
    expect(
      job.try({ kind: 'hang-lock', body: { step: 'isolate.block.downstream', lock: '7', tag: 'T2' } }),
    ).toMatchObject({ code: 'lock.elsewhere', lock: '7' });
  });
  it('a gauge that hangs at 41 psig stops the sheet: nothing is signed, nothing stripped', () => {
    const proof = 'isolate.zero.upstream-pressure';
    const job = new BenchJob().workTo(proof);
    job.send({
      kind: 'take-measurement',
      body: { step: proof, what: 'pressure upstream', value: '41 psig', readBy: 'hand' },
    });
    expect(job.step(proof)?.status).toBe('ready');
    for (const id of ['isolate.sign', 'strip.match-mark', 'strip.slack'])
      expect(job.try({ kind: 'do-step', body: { step: id } }), id).toMatchObject({ code: 'step.waits' });
  });
  it('one person never signs both sides, a lead least of all', () => {
    const job = new BenchJob().workTo('isolate.sign');
    for (const by of [TECHNICIAN, LEAD]) {
      const fresh = new BenchJob().workTo('isolate.vent.upstream');
      fresh.send({ kind: 'do-step', body: { step: 'isolate.vent.upstream' } }, by).workTo('isolate.sign');
      fresh.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } }, by);
      expect(
        fresh.try({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, by),
      ).toEqual({ code: 'isolation.both-sides', person: by.name });
      expect(fresh.step('isolate.sign')?.status).toBe('ready');
    }
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } });
    expect(
      job.try({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'done' } }, LEAD),
    ).toMatchObject({ code: 'step.already-done' });
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, INSPECTOR);
    expect(job.step('isolate.sign')?.status).toBe('done');
  });
  it('a lock comes off by the hand that hung it; a lead says why, nobody else may', () => {
    const job = new BenchJob().workTo('restore.block.downstream');
    const off = (by = TECHNICIAN, reason?: string) =>
      job.try(
        { kind: 'remove-lock', body: { step: 'restore.block.downstream', ...(reason ? { reason } : {}) } },
        by,
      );
    expect(off(INSPECTOR, 'he is at lunch')).toMatchObject({
      code: 'lock.not-yours',
      owner: TECHNICIAN.name,
    });
    expect(off(LEAD)).toMatchObject({ code: 'lock.not-yours' });
    expect(off(LEAD, 'gone home; called, agrees')).toBeUndefined();
    expect(job.state.records['lock-removed'].at(-1)?.body.reason).toMatch(/agrees/);
  });
  it('a bare valve is not isolated: its decontamination certificate has a number', () => {
    const job = new BenchJob(defaultValve(), { place: 'bare' }).workTo('isolate.decontaminated');
    expect(job.try({ kind: 'do-step', body: { step: 'isolate.decontaminated' } })).toMatchObject({
      code: 'step.wants',
      wants: 'the number of the decontamination certificate',
    });
    expect(job.plan().steps.filter(({ id }) => id.startsWith('isolate.'))).toHaveLength(1);
  });
});
