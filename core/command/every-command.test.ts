import { describe, expect, it } from 'vitest';
import { usualLine } from '../isolation';
import { EMPTY_JOB } from '../job';
import { must } from '../problem';
import { BenchJob, INSPECTOR, LEAD, TECHNICIAN } from '../testing/bench';
import { defaultValve } from '../valve';
import { decide, readCommand, type RawCommand } from '.';
import { COMMANDS, type CommandKind } from './registry';

const UUID = '00000000-0000-4000-8000-000000000001';
const step = 'rebuild.gasket';
const hand = 'hand' as const;

/** A command of every kind, well formed, as a screen would send it. */
const EVERY: { readonly [K in CommandKind]: Extract<RawCommand, { kind: K }>['body'] } = {
  'add-note': { text: 'looked at' },
  'leave-for-now': { what: 'a clamp on the bypass', recall: '2027-03-01' },
  'add-photo': { photo: UUID, caption: 'as found' },
  'assign-person': { person: LEAD },
  'attach-working': { working: 'lathe.speed', given: { diameter: '2 in', surfaceSpeed: '40 ft/min' } },
  'check-bluing': { step, arcs: [{ from: '0°', to: '360°', width: '1 mm' }] },
  'check-makers-sheet': { filed: 1 },
  'check-kit': { sheet: 'PS-K1', kit: 'A', found: [{ line: '1', count: 1 }] },
  'change-place': { place: 'in line', reason: 'the face can be cut where it stands' },
  'change-scope': { scope: 'repack', reason: 'only the gland weeps' },
  'choose-way': { way: { question: 'leakingGland', choice: 'repack' } },
  'do-step': { step },
  'draw-line': { step, line: usualLine(defaultValve().features) },
  'file-makers-sheet': {
    sheet: { model: 'H 7', revision: 'B', figures: { jointTorque: { value: '90 lbf·ft', page: '4' } } },
  },
  'fit-packing': { step, joints: ['0°'] },
  'hang-lock': { step, lock: 'L 1', tag: 'T 1' },
  'identify-valve': { details: { bolts: 8 } },
  'lay-part': { part: 'stem', lot: 'keep' },
  'log-lapping': { step, grit: 120, minutes: '2 min' },
  'make-finding': { step, finding: { kind: 'sound' } },
  'match-spares': { step, laid: [{ what: 'kit' }] },
  'order-part': { step, expected: '2027-01-01' },
  'overrule-call': { part: 'bonnet gasket', verdict: 'fit', reason: 'new last week' },
  'place-fault': { step, symptom: 'gland leaks', cause: 'gland slack' },
  'receive-part': { step },
  'release-hold': { step },
  'remove-lock': { step },
  'run-pressure-test': {
    step,
    pressure: '100 psig',
    hold: '60 s',
    leak: { perMinute: 0, of: 'drops' },
    readBy: hand,
  },
  'see-way-round': { step, what: 'cone spring', way: 'wide end on the diaphragm' },
  'set-mark': { step, part: 'bonnet', clock: "2 o'clock" },
  'sign-certificate': { step, nextDue: '2028-01-01' },
  'sign-isolation': { step, side: 'done' },
  'strike-entry': { entry: 1, reason: 'by mistake' },
  'take-evidence': { symptom: 'gland leaks', check: 'gland nuts', result: 0, readBy: hand },
  'take-measurement': { step, what: 'width', value: '1 in', readBy: hand },
  'take-runout': { step, readings: Array.from({ length: 12 }, () => '0 thou'), readBy: hand },
  'trace-leak': { step, to: 'joint' },
  'turn-screw': { step, screw: 'compression screw', by: '0.25 turn' },
  'keep-stroke': {
    step,
    points: [0, 50, 100].map((at) => ({ signal: `${at} %`, up: `${at} %`, down: `${at} %` })),
    readBy: 'hand',
  },
  'keep-curve': { step, what: 'pressure', seconds: [0, 1], psig: [0, 10], readBy: UUID },
  'take-unit': { unit: UUID, kind: 'packed bonnet', serial: 'U 1' },
  'tighten-bolt': { step, bolt: 1, torque: '10 lbf·ft', readBy: hand },
};
const KINDS = Object.keys(COMMANDS) as CommandKind[];
const commandOf = (kind: CommandKind): RawCommand => ({ kind, body: EVERY[kind] }) as RawCommand;

/** Kinds that say something of a step, and so are nothing where that step is not in hand. */
const OF_A_STEP = KINDS.filter((kind) => 'step' in EVERY[kind]);

describe.each(KINDS)('%s', (kind) => {
  it('is read as a screen sends it, and a field nobody knows is said', () => {
    const read = readCommand(commandOf(kind));
    if (!read.ok) expect(read.problem, JSON.stringify(read.problem)).toBeUndefined();
    const strange = readCommand({ kind, body: { ...EVERY[kind], colour: 'red' } });
    expect(strange.ok ? undefined : strange.problem.code).toBe('command.invalid');
  });
  it('is nothing before a job is open, and nothing after it is signed', () => {
    const job = new BenchJob();
    const command = readCommand(commandOf(kind));
    if (command.ok)
      expect(decide(EMPTY_JOB, command.value, job.edge(TECHNICIAN)).problem).toEqual({
        code: 'job.not-open',
      });
    const signed = SIGNED.state.version;
    for (const person of [TECHNICIAN, LEAD, INSPECTOR])
      expect(SIGNED.try(commandOf(kind), person), person.role).toEqual({ code: 'job.released' });
    expect(SIGNED.state.version).toBe(signed);
  });
});

const SIGNED = new BenchJob().workTo('nothing');

describe.each(OF_A_STEP)('%s', (kind) => {
  it('asked for a step that still waits, or is of another kind, changes nothing and says why', () => {
    const job = new BenchJob().workTo('receive.plate');
    const before = job.state.version;
    const problem = job.try(commandOf(kind), kind === 'release-hold' ? INSPECTOR : TECHNICIAN);
    expect(problem?.code).toMatch(/^step\./);
    expect(job.state.version).toBe(before);
  });
  it('asked for a step that no plan has, says so', () => {
    const unknown = { kind, body: { ...EVERY[kind], step: 'fly' } } as RawCommand;
    const problem = new BenchJob().try(unknown, kind === 'release-hold' ? INSPECTOR : TECHNICIAN);
    expect(problem).toMatchObject({ code: 'step.unknown' });
  });
});

describe('what was decided is what is recorded', () => {
  it('the same command on the same state gives the same facts, twice', () => {
    const job = new BenchJob().workTo('receive.plate');
    const command = must(readCommand({ kind: 'do-step', body: { step: 'receive.plate' } }));
    const once = must(decide(job.state, command, job.edge(TECHNICIAN)));
    expect(must(decide(job.state, command, job.edge(TECHNICIAN)))).toEqual(once);
  });
});
