import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { found, planOf } from '../testing/plan-variants';
import { waitsFor } from '../testing/relations';
import { closureOf, CONSTRUCTION_IDS, defaultValve, partsOf, type PartRole } from '../valve';
import type { PlannedStep } from '.';

/** Common practice: nothing is called and then forgotten, nothing that may be bad goes back unseen. */
const PROVES: readonly PlannedStep['task']['kind'][] = ['look', 'bluing', 'measure', 'runout'];
/** Turned end for end by its service, not by what was seen on it. */
const BY_SERVICE: readonly PartRole[] = ['cartridge'];

describe.each(CONSTRUCTION_IDS)('%s', (id) => {
  const valve = defaultValve(id);

  it('every part marked to be inspected is looked at or measured', () => {
    const inPlace = closureOf(valve.features).repackedInPlace;
    const seen = new Set(
      planOf(new BenchJob(valve).state)
        .steps.filter(({ stage, task }) => stage === 'inspect' && task.kind !== 'do')
        .flatMap(({ parts }) => parts),
    );
    const unseen = partsOf(valve).filter(
      ({ role, policy }) => policy === 'inspect' && !seen.has(role) && (inPlace?.includes(role) ?? true),
    );
    expect(unseen.map(({ role }) => role)).toEqual([]);
  });

  it.each([0, 1, 2, 3, 4, 5])(
    'finding %i on every look: rework ends in a proof before the hold, what is renewed is ordered',
    (choice) => {
      const plan = planOf(found(valve, choice));
      if (plan.condemned) return;
      const always = new Set(
        partsOf(valve).flatMap(({ role, policy }) => (policy === 'renew always' ? [role] : [])),
      );
      const held = waitsFor(plan, 'hold.contact');
      const keepsIn = closureOf(valve.features).repackedInPlace;
      for (const { part, verdict, method, because } of plan.calls.values()) {
        if (because.length === 0 || BY_SERVICE.includes(part)) continue;
        if (verdict !== 'fit' && keepsIn && !keepsIn.includes(part)) {
          // Repacked where it stands, it does not come off: how it goes on is asked, and kept.
          const asked = `inspect.beyond.${part.replaceAll(' ', '-')}`;
          expect([...held], part).toContain(asked);
          continue;
        }
        const own = plan.steps.filter(({ stage, parts }) => stage === 'repair' && parts.includes(part));
        if (method === 'turn over') {
          const back = plan.steps.filter(({ on, task }) => on.includes(part) && task.kind === 'way-round');
          expect(back.length, `${part} goes back the other way round`).toBeGreaterThan(0);
          continue;
        }
        if (verdict === 'rework') {
          expect(
            own.some(({ optional, task }) => optional === undefined && !PROVES.includes(task.kind)),
            part,
          ).toBe(true);
          const proof = own.filter(({ task }) => PROVES.includes(task.kind)).at(-1);
          expect(proof, `${part} is looked at again`).toBeDefined();
          expect([...held], part).toContain(proof?.id);
        }
        if (verdict === 'renew' && !always.has(part))
          expect(
            own.map(({ task }) => task.kind),
            part,
          ).toContain('order');
      }
    },
  );
});

describe('looked at again', () => {
  it('still seen: once more, and looked at once more; gone: done', () => {
    const job = new BenchJob(defaultValve('globe-bolted'), { place: 'bare' }).workTo('inspect.bonnet-face');
    const pit = { kind: 'joint face damage', form: 'pit', depth: '1 thou' } as const;
    const say = (step: string, finding: typeof pit | { kind: 'sound' }) =>
      job.send({ kind: 'make-finding', body: { step, finding } });
    say('inspect.bonnet-face', pit);
    job.workTo('repair.look.bonnet');
    say('repair.look.bonnet', pit);
    expect(job.step('repair.again.bonnet')?.status).toBe('ready');
    expect([...waitsFor(job.plan(), 'hold.contact')]).toContain('repair.look.bonnet#2');
    job.workTo('repair.look.bonnet#2');
    say('repair.look.bonnet#2', { kind: 'sound' });
    expect(job.step('repair.again.bonnet#2')).toBeUndefined();
    expect(job.plan().calls.get('bonnet')?.verdict).toBe('rework');
  });
});
