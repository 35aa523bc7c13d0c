import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { EMPTY_JOB } from '../job';
import { BenchJob, DIAL, id, TECHNICIAN } from '../testing/bench';
import { COMMANDS, decide, readCommand } from '.';

describe('reading a command', () => {
  it.each([
    [null, 'command.invalid'],
    [{ kind: 'explode' }, 'command.unknown'],
    [{ kind: 'do-step' }, 'command.invalid'],
    [{ kind: 'do-step', body: { step: 'a', extra: 1 } }, 'command.invalid'],
    [{ kind: 'take-runout', body: { step: 'a', readings: ['3 thou'], readBy: 'hand' } }, 'command.invalid'],
    [{ kind: 'log-lapping', body: { step: 'a', grit: 120, minutes: '2 psi' } }, 'command.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(readCommand(raw).problem?.code).toBe(code);
  });

  it('carries the words of a mistyped quantity through', () => {
    const { problem } = readCommand({
      kind: 'log-lapping',
      body: { step: 'a', grit: 120, minutes: '2 mun' },
    });
    expect(problem).toMatchObject({
      issues: [
        {
          path: 'body.minutes',
          problem: { code: 'quantity.unit-unknown', suggestions: expect.arrayContaining(['min']) },
        },
      ],
    });
  });

  it('anything at all is answered with a problem, never with a throw (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(COMMANDS)), fc.jsonValue(), (kind, body) => {
        const job = new BenchJob();
        const read = readCommand({ kind, body });
        if (read.ok) decide(job.state, read.value, job.edge(TECHNICIAN));
        expect(read.ok || read.problem.code.length > 0).toBe(true);
      }),
      { seed: 5, numRuns: 200 },
    );
  });
});

describe('deciding', () => {
  const read = (raw: unknown) => must(readCommand(raw));

  it('refuses before a job is open and after it is signed', () => {
    const note = read({ kind: 'add-note', body: { text: 'x' } });
    const job = new BenchJob();
    expect(decide(EMPTY_JOB, note, job.edge(TECHNICIAN)).problem).toEqual({ code: 'job.not-open' });
    job.workTo('nothing');
    expect(job.try({ kind: 'add-note', body: { text: 'too late' } })).toEqual({ code: 'job.released' });
  });

  it('a step that waits says for what; a done one says so; an unknown one too', () => {
    const job = new BenchJob();
    expect(job.try({ kind: 'do-step', body: { step: 'isolate.vent.upstream' } })).toMatchObject({
      code: 'step.waits',
      waits: expect.arrayContaining(['Shut, lock and tag the downstream block valve']),
    });
    job.workTo('strip.match-mark');
    expect(job.try({ kind: 'do-step', body: { step: 'isolate.vent.upstream' } })).toMatchObject({
      code: 'step.already-done',
    });
    expect(job.try({ kind: 'do-step', body: { step: 'fly' } })).toMatchObject({ code: 'step.unknown' });
  });

  it('a wrong bolt and a low click are kept and count for nothing; the next right click does', () => {
    const job = new BenchJob().workTo('rebuild.bolt-up');
    const click = (bolt: number, torque: string) =>
      job.send({ kind: 'tighten-bolt', body: { step: 'rebuild.bolt-up', bolt, torque, readBy: DIAL } });
    const task = job.step('rebuild.bolt-up')?.task;
    if (task?.kind !== 'bolt-up') throw new Error('no bolt-up');
    const setting = `${task.passes[0]?.torque.value} lbf·ft`;
    click(1, setting);
    click(2, setting);
    click(5, `${(task.passes[0]?.torque.value ?? 0) * 0.9} lbf·ft`);
    click(5, setting);
    expect(job.state.records['bolt-tightened']).toHaveLength(4);
    expect(job.step('rebuild.bolt-up')?.status).toBe('ready');
  });

  it('never more rings than fill the box', () => {
    const job = new BenchJob().workTo('rebuild.pack');
    expect(
      job.try({
        kind: 'fit-packing',
        body: { step: 'rebuild.pack', joints: Array.from({ length: 30 }, () => '0°') },
      }),
    ).toMatchObject({ code: 'input.out-of-range', why: 'never more rings than fill the box' });
  });

  it('an instrument nobody knows is refused', () => {
    const job = new BenchJob().workTo('inspect.runout');
    const command = read({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: Array.from({ length: 8 }, () => '1 thou'), readBy: id(999) },
    });
    expect(decide(job.state, command, job.edge(TECHNICIAN)).problem).toMatchObject({
      code: 'instrument.unknown',
    });
  });

  it('lapping is done only once a round is logged', () => {
    const job = new BenchJob().workTo('inspect.blue').blue('inspect.blue', 90).workTo('repair.lap#1');
    expect(job.try({ kind: 'do-step', body: { step: 'repair.lap#1' } })).toMatchObject({
      code: 'step.wants',
    });
  });
});
