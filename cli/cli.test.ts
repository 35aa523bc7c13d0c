import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { describe, expect, it } from 'vitest';
import { WORKINGS } from '@dusk-wren/core/workings';
import { CONSTRUCTION_IDS } from '@dusk-wren/core/valve';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { answer, type Answer } from './answer';

/** The command line: standard input in, JSON out, exit code. */
const dw = (args: string[], input = ''): Promise<Answer> => answer(args, Readable.from([Buffer.from(input)]));
const calc = (id: string, raw: unknown) => dw(['calc', id], JSON.stringify(raw));

describe('as a script calls it', () => {
  const script = (args: string[], input: string) =>
    spawnSync(process.execPath, ['scripts/dw.mjs', ...args], { input, encoding: 'utf8' });
  it('reads standard input, writes JSON, ends with 0', () => {
    const { status, stdout, stderr } = script(
      ['calc', 'bolting.crowfoot'],
      '{"torque": "100 lbf·ft", "wrench": "18 in", "adapter": "2.5 in"}',
    );
    expect(stderr).toBe('');
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ result: { setting: { unit: 'lbf·ft' } } });
  });
  it('says what is wrong on standard error, ends with 2', () => {
    const { status, stdout, stderr } = script(['calc', 'lathe.speed'], 'diameter 2 in');
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(/not a JSON object/);
  });
});

describe('calc', () => {
  it('lists every working with its fields', async () => {
    const { code, out } = await dw(['calc']);
    expect(code).toBe(0);
    const listed: { id: string; input: Record<string, string> }[] = JSON.parse(out);
    expect(listed.map(({ id }) => id)).toEqual(WORKINGS.map(({ id }) => id));
    expect(Object.keys(listed[0]?.input ?? {})).toContain('thread');
  });
  it('answers quantities as value and unit, with steps and source', async () => {
    const { code, out } = await calc('bolting.crowfoot', {
      torque: '100 lbf·ft',
      wrench: '18 in',
      adapter: '2.5 in',
    });
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({
      id: 'bolting.crowfoot',
      result: { setting: { value: expect.closeTo(87.8, 1), unit: 'lbf·ft' } },
      steps: [{ label: 'Setting' }],
      source: expect.stringContaining('common practice'),
    });
  });
  it('answers lists and plain values as they are', async () => {
    const { out } = await calc('bolting.sequence', { bolts: 4, passes: 'quarters', torque: '40 N·m' });
    expect(JSON.parse(out).result.passes[0]).toEqual({
      percent: 25,
      torque: { value: 10, unit: 'N·m' },
      order: [1, 3, 2, 4],
    });
  });
  it('takes today for the day of use', async () => {
    const { out } = await calc('elastomer.compatibility', { elastomer: 'NBR', cureDate: '1Q95' });
    expect(JSON.parse(out).result.verdict).toBe('stop');
  });
  it.each([
    [
      'bad input',
      ['calc', 'lathe.speed'],
      '{"diameter": "2 im", "surfaceSpeed": "40 ft/min"}',
      /diameter: .*“im” is no unit/,
    ],
    ['no JSON', ['calc', 'lathe.speed'], 'diameter 2 in', /not a JSON object/],
    ['an unknown working', ['calc', 'fishing'], '{}', /no working “fishing”/],
    ['too many words', ['calc', 'lathe.speed', 'now'], '{}', /too much/],
    ['an unknown command', ['fish'], '', /no command “fish”/],
    ['an unknown construction', ['plan', 'boat'], '', /no construction “boat”/],
    ['a missing file', ['plan', '--job', '/nowhere.json'], '', /nowhere/],
  ])('%s: a message on standard error, exit 2', async (_name, args, input, message) => {
    const { code, out, said } = await dw(args, input);
    expect(code).toBe(2);
    expect(out).toBe('');
    expect(said).toMatch(message);
  });
});

describe('constructions', () => {
  it('lists all twenty-one with their features', async () => {
    const { code, out } = await dw(['constructions']);
    expect(code).toBe(0);
    const listed = JSON.parse(out) as { id: string; features: unknown; parts: number }[];
    expect(listed.map(({ id }) => id)).toEqual([...CONSTRUCTION_IDS]);
    expect(listed).toHaveLength(21);
    for (const { parts } of listed) expect(parts).toBeGreaterThan(9);
  });
});

describe('a plan varied', () => {
  const file = (content: unknown): string => {
    const path = join(mkdtempSync(join(tmpdir(), 'dusk-wren-')), 'input.json');
    writeFileSync(path, JSON.stringify(content));
    return path;
  };
  const idsOf = (out: string) => (JSON.parse(out) as { steps: { id: string }[] }).steps.map(({ id }) => id);
  it('by features: an axis replaced, or one choice of it', async () => {
    const swapped = await dw([
      'plan',
      'control-balanced-cage',
      '--features',
      file({ moved: { kind: 'piston', coupling: 'split' } }),
    ]);
    expect(idsOf(swapped.out)).toEqual(
      expect.arrayContaining(['strip.coupler', 'strip.cylinder', 'strip.plug-pin']),
    );
    const second = await dw([
      'plan',
      'control-ball-in-venturi',
      '--features',
      file({ features: { seat: { service: 'second' } } }),
    ]);
    expect(second.out).toContain('Second service');
  });
  it('by where it is done', async () => {
    const at = async (place: string) => idsOf((await dw(['plan', 'gate-wedge', '--place', place])).out);
    expect(await at('in-line')).toEqual(expect.arrayContaining(['service.look', 'restore.sign']));
    expect(await at('in-line')).not.toContain('test.seat');
    expect(await at('out')).toEqual(expect.arrayContaining(['lift.out', 'test.seat', 'lift.bolt.upstream']));
    expect(await at('bare')).toEqual(expect.arrayContaining(['isolate.cavity', 'test.seat']));
    const { code, said } = await dw(['plan', 'gate-wedge', '--place', 'moon']);
    expect([code, said]).toEqual([2, expect.stringContaining('in-line, out, bare')]);
  });
  it('by findings, and by ways chosen', async () => {
    const findings = file([
      { part: 'stem', finding: { kind: 'stem mark', zone: 'packing zone' } },
      { way: { question: 'leakingGland', choice: 'repack' } },
    ]);
    const ids = idsOf((await dw(['plan', 'control-globe-double-seat', '--findings', findings])).out);
    expect(ids).toContain('order.stem');
    expect(ids).not.toContain('diagnose.gland.tighten');
  });
  it('a finding is made by the step that looks at the part, whatever that is called', async () => {
    const findings = file([{ part: 'bonnet', finding: { kind: 'sound' } }]);
    const { steps } = JSON.parse((await dw(['plan', 'globe-bolted', '--findings', findings])).out) as {
      steps: { id: string; status: string; kept?: boolean }[];
    };
    expect(steps.find(({ id }) => id === 'inspect.bonnet-face')?.status).toBe('done');
    expect(steps.filter(({ kept }) => kept)).toEqual([]);
  });
  it.each([
    [
      'features that cannot stand together',
      ['plan', 'globe-bolted', '--features'],
      { closure: { kind: 'ball' } },
      /cannot be reached/,
    ],
    ['an axis nobody knows', ['plan', 'globe-bolted', '--features'], { colour: 'red' }, /colour/],
    [
      'a finding on a part it has not',
      ['plan', 'check-swing', '--findings'],
      [{ part: 'stem', finding: { kind: 'bent' } }],
      /no stem/,
    ],
    [
      'a finding of no kind',
      ['plan', 'check-swing', '--findings'],
      [{ part: 'disc', finding: { kind: 'sad' } }],
      /Invalid|kind/,
    ],
  ])('%s: said, exit code 2', async (_name, args, content, message) => {
    const { code, out, said } = await dw([...args, file(content)]);
    expect(code).toBe(2);
    expect(out).toBe('');
    expect(said).toMatch(message);
  });
});

describe('plan', () => {
  it('prints the plan of a usual valve of a construction', async () => {
    const { code, out } = await dw(['plan', 'globe-bolted']);
    expect(code).toBe(0);
    const {
      steps,
    }: { steps: { id: string; stage: string; after: string[]; because: unknown; minutes: number }[] } =
      JSON.parse(out);
    expect(steps.length).toBeGreaterThan(40);
    const ids = new Set(steps.map(({ id }) => id));
    for (const step of steps) {
      expect(step.after.every((id) => ids.has(id))).toBe(true);
      expect(step.because).toBeTruthy();
    }
  });
  it('reads an exported job', async () => {
    const job = new BenchJob().workTo('inspect.runout');
    const file = join(mkdtempSync(join(tmpdir(), 'dusk-wren-')), 'job.json');
    const first = job.log[0];
    writeFileSync(
      file,
      JSON.stringify({
        format: 'dusk-wren job',
        version: 1,
        exportedAt: '2026-03-01T08:00:00.000Z',
        job: { id: '00000000-0000-4000-8000-00000000aaaa', valveId: '00000000-0000-4000-8000-00000000bbbb' },
        valve: first?.kind === 'job-opened' ? first.body.valve : undefined,
        entries: job.log,
      }),
    );
    const { code, out, said } = await dw(['plan', '--job', file]);
    expect(said).toBe('');
    expect(code).toBe(0);
    expect(JSON.parse(out).steps.some(({ status }: { status: string }) => status === 'done')).toBe(true);
  });
});

describe('schedule', () => {
  const schedule = (week: unknown) => {
    const file = join(mkdtempSync(join(tmpdir(), 'dw-')), 'week.json');
    writeFileSync(file, JSON.stringify(week));
    return dw(['schedule', file]);
  };
  const week = (minutes: number, more: object = {}) => ({
    places: [
      {
        id: 'lathe',
        open: [
          [0, 240],
          [1440, 1680],
        ],
      },
    ],
    people: [{ id: 'Avis', skills: ['lathe'] }],
    jobs: [
      { id: 'V1', due: 200, operations: [{ id: 'turn', minutes, place: 'lathe', skill: 'lathe', ...more }] },
    ],
  });
  it('says who does what where and when, how late, and how good that is', async () => {
    const { code, out } = await schedule(week(300));
    expect(code).toBe(0);
    expect(JSON.parse(out)).toEqual({
      operations: [{ job: 'V1', id: 'turn', place: 'lathe', person: 'Avis', start: 0, end: 1500 }],
      lateness: { V1: 1300 },
      end: 1500,
      objective: 1300,
      bound: 1300,
      gap: 0,
      feasible: true,
    });
  });
  it('with seconds the solver has its say', async () => {
    const { code, out } = await schedule({ ...week(100), seconds: 100 });
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({ end: 100, bound: 100, gap: 0 });
  });
  it.each([
    ['nobody has the skill', week(10, { skill: 'weld' }), /weld/],
    ['there is no open time long enough', week(481), /481 min/],
  ])('ends with 1 and the reason where %s', async (_, impossible, why) => {
    const { code, out } = await schedule(impossible);
    expect(code).toBe(1);
    expect(JSON.parse(out)).toEqual({ feasible: false, reason: expect.stringMatching(why) });
  });
  it('a file that is none ends with 2 and says where', async () => {
    const { code, said } = await schedule({ ...week(10), people: [{ skills: [] }] });
    expect(code).toBe(2);
    expect(said).toContain('people.0.id');
    expect((await dw(['schedule'])).code).toBe(2);
    expect((await dw(['schedule', '/nowhere.json'])).said).toContain('cannot be read');
  });
});
