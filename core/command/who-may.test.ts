import { describe, expect, it } from 'vitest';
import { USUAL_RULES } from '../inspection';
import { BenchJob, INSPECTOR, LEAD, person, TECHNICIAN } from '../testing/bench';
import { defaultValve } from '../valve';
import { must } from '../problem';
import { COMMANDS, isSigned, readCommand, type CommandKind, type RawCommand } from '.';

describe('signatures', () => {
  it('are the hold, the isolation and the certificate: for these the PIN is asked again', () => {
    const kinds = Object.keys(COMMANDS) as CommandKind[];
    expect(kinds.filter(isSigned).sort()).toEqual(['release-hold', 'sign-certificate', 'sign-isolation']);
  });
});

describe('the certificate', () => {
  const sign: RawCommand = {
    kind: 'sign-certificate',
    body: { step: 'release.sign', nextDue: '2028-11-24' },
  };
  it('is not signed by who did the work, whatever the role', () => {
    const job = new BenchJob().workTo('release.sign');
    expect(job.try(sign)).toEqual({ code: 'certificate.own-work', person: TECHNICIAN.name });
    const lead = new BenchJob();
    lead.send({ kind: 'do-step', body: { step: 'receive.plate' } }, LEAD).workTo('release.sign');
    expect(lead.try(sign, LEAD)).toMatchObject({ code: 'certificate.own-work' });
    expect(lead.try(sign, person(7, 'technician'))).toBeUndefined();
  });
  it('a site that allows it may have one pair of hands do all', () => {
    const site = { ...USUAL_RULES, name: 'One-man shop', certificateBy: 'anybody' as const };
    const job = new BenchJob(defaultValve(), { site }).workTo('release.sign');
    expect(job.try(sign)).toBeUndefined();
  });
});

describe('a safety part', () => {
  const fit: RawCommand = {
    kind: 'overrule-call',
    body: { part: 'shear pin', verdict: 'fit', reason: 'looks like new' },
  };
  const call = (job: BenchJob) => job.plan().calls.get('shear pin');
  const relief = (safetyPartsBy = USUAL_RULES.safetyPartsBy) =>
    new BenchJob(defaultValve('relief-shear-pin'), { site: { ...USUAL_RULES, safetyPartsBy } });
  it('is not cleared by a technician', () => {
    expect(relief().try(fit)).toMatchObject({ code: 'role.not-allowed', wanted: ['lead', 'inspector'] });
  });
  it('takes a lead and an inspector with the same call; one alone is a proposal', () => {
    const job = relief().send(fit, LEAD);
    expect(call(job)).toMatchObject({
      verdict: 'renew',
      proposed: { verdict: 'fit', by: LEAD.name, wants: 'inspector' },
    });
    job.send(fit, INSPECTOR);
    expect(call(job)).toMatchObject({ verdict: 'fit', overruled: { was: 'renew' } });
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'thought better' } }, INSPECTOR);
    expect(call(job)?.verdict).toBe('renew');
  });
  it('by a site’s own rule one of the two is enough', () => {
    expect(call(relief('a lead or an inspector').send(fit, INSPECTOR))?.verdict).toBe('fit');
  });
  it('a gasket is none: a technician may overrule it and says why', () => {
    const job = new BenchJob();
    job.send({
      kind: 'overrule-call',
      body: { part: 'bonnet gasket', verdict: 'fit', reason: 'put in today' },
    });
    expect(job.plan().calls.get('bonnet gasket')?.verdict).toBe('fit');
  });
});

describe('a maker’s sheet', () => {
  const sheet = { model: 'H 7', revision: 'B', figures: { jointTorque: { value: '90 lbf·ft', page: '4' } } };
  const plated = () => new BenchJob({ ...defaultValve(), plate: { model: 'H 7' } });
  const check = (job: BenchJob, by = LEAD) =>
    job.try(
      {
        kind: 'check-makers-sheet',
        body: { filed: job.state.records['makers-sheet-filed'].at(-1)?.seq ?? 0 },
      },
      by,
    );
  it('is the shop’s only once a second person has checked it', () => {
    const job = plated().send({ kind: 'file-makers-sheet', body: { sheet } });
    expect(check(job, TECHNICIAN)).toEqual({ code: 'sheet.own', person: TECHNICIAN.name });
    expect(check(job)).toBeUndefined();
    expect(check(job, INSPECTOR)).toMatchObject({ code: 'step.already-done' });
  });
  it('of a model that the plate does not name stays on its job', () => {
    const job = new BenchJob().send({ kind: 'file-makers-sheet', body: { sheet } });
    expect(job.plan().valve.sheet?.model).toBe('H 7');
    expect(check(job)).toMatchObject({ code: 'input.conflict', fields: ['model'] });
  });
  it('that was the shop’s already when the job was opened is not asked to be checked again', () => {
    const sheetOnFile = must(readCommand({ kind: 'file-makers-sheet', body: { sheet } }));
    if (sheetOnFile.kind !== 'file-makers-sheet') throw new Error('no sheet');
    const job = new BenchJob(
      { ...defaultValve(), plate: { model: 'H 7' } },
      { sheet: sheetOnFile.body.sheet },
    );
    expect(check(job)).toMatchObject({ code: 'step.already-done' });
  });
  it('filed again, the check of the old one does not count for the new one', () => {
    const job = plated().send({ kind: 'file-makers-sheet', body: { sheet } });
    check(job);
    job.send({ kind: 'file-makers-sheet', body: { sheet: { ...sheet, revision: 'C' } } });
    expect(check(job, INSPECTOR)).toBeUndefined();
  });
});

describe('steps done only on purpose', () => {
  const deliberate = (job: BenchJob) =>
    job
      .plan()
      .steps.filter((step) => step.deliberate)
      .map(({ id }) => id);
  it('in line: both signatures, the locks off, what stands before pressure, holds, certificate', () => {
    expect(deliberate(new BenchJob())).toEqual(
      expect.arrayContaining([
        'isolate.sign',
        'hold.contact',
        'hold.test',
        'restore.block.upstream',
        'restore.block.downstream',
        'restore.vent.upstream',
        'restore.sign',
        'release.sign',
      ]),
    );
    expect(deliberate(new BenchJob())).not.toContain('strip.gasket');
    const { steps } = new BenchJob().plan();
    const shell = steps.find(({ id }) => id === 'test.shell');
    expect(shell?.after.some((id) => deliberate(new BenchJob()).includes(id))).toBe(true);
    for (const id of ['isolate.block.upstream', 'isolate.zero.upstream-pressure', 'rebuild.clean'])
      expect(deliberate(new BenchJob()), id).not.toContain(id);
  });
  it('bare: the paper that says it is clean, for the valve is opened next', () => {
    expect(deliberate(new BenchJob(defaultValve(), { place: 'bare' }))).toContain('isolate.decontaminated');
  });
});
