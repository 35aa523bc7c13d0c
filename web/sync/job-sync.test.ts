import { describe, expect, it } from 'vitest';
import { wordProblem } from '@dusk-wren/contract/wording';
import {
  decide,
  NOTHING_OUTSIDE,
  openJob,
  readCommand,
  record,
  type RawCommand,
} from '@dusk-wren/core/command';
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
import { JobSync } from './job-sync';
import type { PostAnswer, Waiting } from './ports';

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
    const body = { valve: defaultValve(), site: USUAL_RULES, place: 'bare' as const, reported: '' };
    this.keep(
      must(
        record(EMPTY_JOB, must(openJob(body, person(9))), {
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
      ...NOTHING_OUTSIDE,
      person: by,
      now: NOW,
    });
    if (!facts.ok) return { kind: 'refused', text: wordProblem(facts.problem) };
    const entries = this.keep(must(record(this.state, facts.value, { commandId: command, by, at: NOW })));
    this.receipts.set(command, entries);
    if (!this.loseNextAnswer) return { kind: 'taken', entries };
    this.loseNextAnswer = false;
    return { kind: 'later', delay: { kind: 'no connection' } };
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
      post: async (base, { commandId: command, command: raw, signer }) => {
        await Promise.resolve();
        return server.post(signer ?? person(n), base, command, raw);
      },
      fetchAfter: (version) => Promise.resolve(server.log.slice(version)),
      newId: () => commandId.parse(id(ids++)),
      now: () => NOW,
      edge: NOTHING_OUTSIDE,
      delayOf: () => ({ kind: 'fault', text: 'not understood' }),
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
  for (let i = 0; i < 500 && syncs.some((sync) => sync.view.waiting.length > 0); i++) await Promise.resolve();
};
const note = (text: string): RawCommand => ({ kind: 'add-note', body: { text } });
const done = (step: string): RawCommand => ({ kind: 'do-step', body: { step } });

describe('a job on a screen', () => {
  it('answers at once and is confirmed after', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    expect(sync.do(done('receive.plate'))).toBeUndefined();
    expect(sync.view.state.records['step-done']).toHaveLength(1);
    expect(server.state.records['step-done']).toHaveLength(0);
    await settle(sync);
    expect(sync.view.state).toEqual(server.state);
  });

  it('refuses in words without asking the server', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    expect(sync.do(done('strip.lift'))).toMatch(/waits for/);
    expect(sync.view.waiting).toEqual([]);
  });

  it('two screens that write at once both end with the same log', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(note('from a'));
    b.do(note('from b'));
    a.do(done('receive.plate'));
    await settle(a, b);
    await a.receive(server.log);
    expect(a.view.state).toEqual(server.state);
    await b.receive(server.log);
    expect(b.view.state).toEqual(server.state);
    expect(server.state.records['note-added']).toHaveLength(2);
  });

  it('says what became impossible because somebody else was faster', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(done('receive.plate'));
    b.do(done('receive.plate'));
    await settle(a, b);
    expect(a.view.lapsed.length + b.view.lapsed.length).toBe(1);
    expect([...a.view.lapsed, ...b.view.lapsed][0]?.text).toMatch(/^Person \d was quicker: .* is done/);
    expect(server.state.records['step-done']).toHaveLength(1);
  });

  it('an answer lost on the way is asked for again and counted once', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    server.loseNextAnswer = true;
    sync.do(note('only once'));
    await settle(sync);
    expect(server.state.records['note-added']).toHaveLength(1);
    expect(sync.view.state).toEqual(server.state);
  });

  it('shows one view after the other, none of which changes', async () => {
    const server = new Authority();
    const sync = await screen(server, 1);
    const before = sync.view;
    const told = JSON.stringify(before);
    sync.do(note('one'));
    const between = sync.view;
    await settle(sync);
    expect(JSON.stringify(before)).toBe(told);
    expect(between.waiting.map(({ what }) => what)).toEqual(['one']);
    expect(between.entries.length - between.confirmed.length).toBe(1);
    expect(sync.view.waiting).toEqual([]);
    expect(sync.view.confirmed.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    expect(() => Object.assign(between, { unkept: true })).toThrow();
  });

  it('fills a gap in what it is told', async () => {
    const server = new Authority();
    const [a, b] = [await screen(server, 1), await screen(server, 2)];
    a.do(note('one'));
    a.do(note('two'));
    await settle(a);
    await b.receive(server.log.slice(-1));
    expect(b.view.state).toEqual(server.state);
  });
});

describe('a signature by somebody else at this screen', () => {
  const signed = { commandId: commandId.parse(id(777)), confirmation: 'asked', signer: person(5) };

  it('stands under their name, also where others were faster, and nobody else’s entries wait for it', async () => {
    const server = new Authority();
    const here = await screen(server, 1);
    const other = await screen(server, 2);
    other.do(note('faster'));
    await settle(other);
    expect(await here.countersign(note('checked'), signed)).toBeUndefined();
    expect(server.log.at(-1)).toMatchObject({ by: { id: person(5).id }, commandId: signed.commandId });
    expect(here.view.entries).toHaveLength(server.log.length);
    expect(here.view.waiting).toHaveLength(0);
  });

  it('is not stored, and says so, while the server is away or earlier work still waits', async () => {
    const server = new Authority();
    const here = await screen(server, 1);
    server.loseNextAnswer = true;
    expect(await here.countersign(note('checked'), signed)).toMatch(/did not answer/);
    server.loseNextAnswer = true;
    here.do(note('mine'));
    expect(await here.countersign(note('checked'), signed)).toMatch(/goes first/);
  });
});

describe('what waits is somebody’s', () => {
  /** A screen at which people come and go, and a server that can be told what to answer. */
  async function bench(server: Authority, answer?: () => PostAnswer | undefined) {
    const here: { person: PersonStamp | undefined } = { person: person(1) };
    const posted: Waiting[] = [];
    let ids = 70_000;
    const sync = new JobSync(
      {
        post: (base, waiting) => {
          posted.push(waiting);
          return Promise.resolve(
            answer?.() ?? server.post(waiting.person, base, waiting.commandId, waiting.command),
          );
        },
        fetchAfter: (version) => Promise.resolve(server.log.slice(version)),
        newId: () => commandId.parse(id(ids++)),
        now: () => NOW,
        edge: NOTHING_OUTSIDE,
        delayOf: () => ({ kind: 'fault', text: 'not understood' }),
        person: () => here.person,
        wait: () => new Promise(() => undefined),
        keep: () => Promise.resolve(),
        forget: () => Promise.resolve(),
        changed: () => undefined,
      },
      wordProblem,
    );
    await sync.receive(server.log);
    return { sync, here, posted };
  }
  const turns = async () => {
    for (let i = 0; i < 50; i++) await Promise.resolve();
  };

  it('and is not sent under the next person’s name, whatever session there is', async () => {
    const server = new Authority();
    const { sync, here, posted } = await bench(server, () =>
      here.person ? undefined : { kind: 'later', delay: { kind: 'sign-in' } },
    );
    here.person = undefined; // her sign-in has run out
    const asked = sync.do(note('by the first'));
    expect(asked).toMatch(/Sign in first/);
    here.person = person(1);
    sync.do(note('by the first'));
    here.person = person(2); // and somebody else signs in at the same screen
    sync.retry();
    await turns();
    expect(posted).toEqual([]);
    expect(sync.view.delay).toEqual({ kind: 'sign-in' });
    expect(sync.view.waiting.map(({ what }) => what)).toEqual(['by the first']);
    here.person = person(1);
    sync.retry();
    await turns();
    expect(server.state.records['note-added'].map(({ by }) => by.name)).toEqual(['Person 1']);
  });

  it('what the two do not understand is said and not sent again and again', async () => {
    const server = new Authority();
    let differs = true;
    const { sync, posted } = await bench(server, () =>
      differs ? { kind: 'later', delay: { kind: 'fault', text: 'of another version' } } : undefined,
    );
    sync.do(note('kept'));
    await turns();
    expect(sync.view.delay).toEqual({ kind: 'fault', text: 'of another version' });
    expect(sync.view.waiting.map(({ what }) => what)).toEqual(['kept']);
    expect(posted).toHaveLength(1);
    differs = false;
    sync.retry();
    await turns();
    expect(server.state.records['note-added']).toHaveLength(1);
    expect(sync.view.delay).toBeUndefined();
  });

  it('an answer that cannot be folded in is said, and what waits goes when it can be', async () => {
    const server = new Authority();
    const [first] = server.log;
    if (!first) throw new Error('the job was never opened');
    let broken = true;
    const { sync } = await bench(server, () =>
      broken ? { kind: 'stale', missed: [{ ...first, seq: 99 }] } : undefined,
    );
    server.log.push({ ...first, seq: 99 });
    sync.do(note('kept'));
    await turns();
    expect(sync.view.delay).toEqual({ kind: 'fault', text: 'not understood' });
    expect(sync.view.waiting.map(({ what }) => what)).toEqual(['kept']);
    server.log.pop();
    broken = false;
    sync.retry();
    await turns();
    expect(server.state.records['note-added']).toHaveLength(1);
    expect(sync.view.delay).toBeUndefined();
  });

  it('a command of an older version that waited is said to be one, and what waited behind it goes', async () => {
    const server = new Authority();
    const { sync } = await bench(server);
    const waited = (n: number, command: unknown): Waiting => ({
      commandId: commandId.parse(id(80_000 + n)),
      command,
      person: person(1),
      at: NOW,
    });
    sync.resume([waited(1, { kind: 'weigh-valve', body: {} }), waited(2, note('behind it'))]);
    await turns();
    expect(sync.view.lapsed.map(({ what }) => what)).toEqual(['an entry of an older version']);
    expect(server.state.records['note-added'].map(({ body }) => body.text)).toEqual(['behind it']);
  });

  it('nothing is sent from a page that is gone', async () => {
    const server = new Authority();
    let away = true;
    const { sync, posted } = await bench(server, () =>
      away ? { kind: 'later', delay: { kind: 'no connection' } } : undefined,
    );
    sync.do(note('waits'));
    await turns();
    expect(posted).toHaveLength(1);
    sync.close();
    away = false;
    sync.retry();
    await turns();
    expect(posted).toHaveLength(1);
    expect(server.state.records['note-added']).toEqual([]);
  });

  it.each<[string, PostAnswer]>([
    ['a database away', { kind: 'later', delay: { kind: 'server', text: 'away' } }],
    ['no connection', { kind: 'later', delay: { kind: 'no connection' } }],
  ])('after %s it is kept, said, and sent again under the same id', async (_name, later) => {
    const server = new Authority();
    let down = true;
    const { sync, posted } = await bench(server, () => (down ? later : undefined));
    sync.do(note('kept'));
    await turns();
    expect(sync.view.delay).toEqual(later.kind === 'later' ? later.delay : undefined);
    expect(sync.view.waiting.map(({ what }) => what)).toEqual(['kept']);
    down = false;
    sync.retry();
    await turns();
    expect(new Set(posted.map((each) => each.commandId)).size).toBe(1);
    expect(server.state.records['note-added']).toHaveLength(1);
    expect(sync.view.delay).toBeUndefined();
  });

  it('an entry that can never go is given up by its person, and those behind it go', async () => {
    const server = new Authority();
    const { sync, posted } = await bench(server, () =>
      JSON.stringify(posted.at(-1)?.command).includes('too large')
        ? { kind: 'later', delay: { kind: 'server', text: 'more than 5 MB' } }
        : undefined,
    );
    sync.do(note('too large'));
    sync.do(note('behind it'));
    await turns();
    const [first] = sync.view.waiting;
    if (first) sync.giveUp(first.commandId);
    sync.retry();
    await turns();
    expect(server.state.records['note-added'].map(({ body }) => body.text)).toEqual(['behind it']);
  });

  it('what is refused after it was entered is said with what it was', async () => {
    const server = new Authority();
    const { sync } = await bench(server, () => ({ kind: 'refused', text: 'No such part is on file.' }));
    sync.do(note('for the log'));
    await turns();
    expect(sync.view.lapsed).toMatchObject([{ what: 'for the log', text: 'No such part is on file.' }]);
  });
});
