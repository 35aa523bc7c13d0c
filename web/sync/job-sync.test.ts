import { describe, expect, it } from 'vitest';
import { wordProblem } from '@dusk-wren/contract/wording';
import { decide, openJob, readCommand, record, type RawCommand } from '@dusk-wren/core/command';
import {
  commandId,
  EMPTY_JOB,
  personStamp,
  type CommandId,
  type Entry,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { must } from '@dusk-wren/core/problem';
import { defaultValve } from '@dusk-wren/core/valve';
import { JobSync, type PostAnswer } from './job-sync';

const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const person = (n: number) => personStamp.parse({ id: id(n), name: `Person ${n}`, role: 'technician' });
const NOW = '2026-11-24T08:00:00.000Z';

/** A server of few lines: the real decide, a log, receipts by command id, and faults on demand. */
class Authority {
  state: JobState = EMPTY_JOB;
  log: Entry[] = [];
  receipts = new Map<CommandId, Entry[]>();
  loseNextAnswer = false;

  constructor() {
    const body = { valve: defaultValve(), site: USUAL_RULES, came: 'bare' as const, reported: '' };
    this.keep(
      must(
        record(EMPTY_JOB, openJob(body, person(9)), {
          commandId: commandId.parse(id(900)),
          by: person(9),
          at: NOW,
        }),
      ),
    );
  }

  post(by: PersonStamp, base: number, command: CommandId, raw: unknown): PostAnswer {
    const before = this.receipts.get(command);
    if (before) return { kind: 'taken', entries: before };
    if (base !== this.state.version) return { kind: 'stale', missed: this.log.slice(base) };
    const facts = decide(this.state, must(readCommand(raw)), {
      person: by,
      now: NOW,
      instrument: () => undefined,
    });
    if (!facts.ok) return { kind: 'refused', text: wordProblem(facts.problem) };
    const entries = this.keep(must(record(this.state, facts.value, { commandId: command, by, at: NOW })));
    this.receipts.set(command, entries);
    if (!this.loseNextAnswer) return { kind: 'taken', entries };
    this.loseNextAnswer = false;
    return { kind: 'lost' };
  }

  private keep(recorded: { entries: Entry[]; state: JobState }): Entry[] {
    this.state = recorded.state;
    this.log.push(...recorded.entries);
    return recorded.entries;
  }
}

async function screen(server: Authority, n: number): Promise<JobSync> {
  let ids = n * 10_000;
  const sync = new JobSync(
    {
      post: async (base, { commandId: command, command: raw }) => {
        await Promise.resolve();
        return server.post(person(n), base, command, raw);
      },
      fetchAfter: (version) => Promise.resolve(server.log.slice(version)),
      newId: () => commandId.parse(id(ids++)),
      now: () => NOW,
      instrument: () => undefined,
      person: () => person(n),
      wait: () => Promise.resolve(),
      keep: () => Promise.resolve(),
      forget: () => Promise.resolve(),
      changed: () => undefined,
    },
    wordProblem,
  );
  await sync.receive(server.log);
  return sync;
}

const settle = async (...syncs: JobSync[]) => {
  for (let i = 0; i < 500 && syncs.some((sync) => sync.waiting > 0); i++) await Promise.resolve();
};
const note = (text: string): RawCommand => ({ kind: 'add-note', body: { text } });
const done = (step: string): RawCommand => ({ kind: 'do-step', body: { step } });

describe('a job on a screen', () => {
  it('answers at once and is confirmed after', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    expect(sync.do(done('receive.plate'))).toBeUndefined();
    expect(sync.state.records['step-done']).toHaveLength(1);
    expect(server.state.records['step-done']).toHaveLength(0);
    await settle(sync);
    expect(sync.state).toEqual(server.state);
  });

  it('refuses in words without asking the server', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    expect(sync.do(done('strip.lift'))).toMatch(/waits for/);
    expect(sync.waiting).toBe(0);
  });

  it('two screens that write at once both end with the same log', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(note('from a'));
    b.do(note('from b'));
    a.do(done('receive.plate'));
    await settle(a, b);
    await a.receive(server.log);
    expect(a.state).toEqual(server.state);
    await b.receive(server.log);
    expect(b.state).toEqual(server.state);
    expect(server.state.records['note-added']).toHaveLength(2);
  });

  it('says what became impossible because somebody else was faster', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(done('receive.plate'));
    b.do(done('receive.plate'));
    await settle(a, b);
    expect(a.lapsed.length + b.lapsed.length).toBe(1);
    expect([...a.lapsed, ...b.lapsed][0]?.text).toMatch(/is done already/);
    expect(server.state.records['step-done']).toHaveLength(1);
  });

  it('an answer lost on the way is asked for again and counted once', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    server.loseNextAnswer = true;
    sync.do(note('only once'));
    await settle(sync);
    expect(server.state.records['note-added']).toHaveLength(1);
    expect(sync.state).toEqual(server.state);
  });

  it('fills a gap in what it is told', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(note('one'));
    a.do(note('two'));
    await settle(a);
    await b.receive(server.log.slice(-1));
    expect(b.state).toEqual(server.state);
  });
});
