import { wordProblem } from '@dusk-wren/contract/wording';
import { NOTHING_OUTSIDE, openJob, record } from '@dusk-wren/core/command';
import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { commandId, EMPTY_JOB, fold, instrumentId, personStamp } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterEach, describe, expect, it } from 'vitest';
import { JobSync } from './job-sync';
import type { Ports, PostAnswer, Waiting } from './ports';
import { KeptJobs } from './kept-jobs';

const ADA = personStamp.parse({ id: randomUUID(), name: 'Ada', role: 'technician' });
const BO = personStamp.parse({ id: randomUUID(), name: 'Bo', role: 'technician' });
const LOST: PostAnswer = { kind: 'later', delay: { kind: 'no connection' } };
const NOW = '2026-11-24T08:00:00.000Z';
const JOB = randomUUID();
const opened = must(
  record(
    EMPTY_JOB,
    must(openJob({ valve: defaultValve(), site: USUAL_RULES, place: 'bare', reported: '' }, ADA)),
    {
      commandId: commandId.parse(randomUUID()),
      by: ADA,
      at: NOW,
    },
  ),
);
const gauge = {
  id: instrumentId.parse(randomUUID()),
  name: 'Gauge 1',
  kind: 'gauge' as const,
  simulated: true,
  calibrationDue: '2027-01-01',
  inCalibration: true,
};
const note = (text: string) => ({ kind: 'add-note' as const, body: { text } });

/** A device whose connection is gone until it is told otherwise. */
function device(kept: KeptJobs, answer: (waiting: Waiting) => PostAnswer) {
  const ports: Ports = {
    post: (_base, waiting) => Promise.resolve(answer(waiting)),
    fetchAfter: () => Promise.resolve([]),
    newId: () => commandId.parse(randomUUID()),
    now: () => NOW,
    edge: NOTHING_OUTSIDE,
    delayOf: () => ({ kind: 'fault', text: 'not understood' }),
    person: () => ADA,
    wait: () => new Promise(() => undefined),
    changed: () => undefined,
    keep: (waiting) => kept.addPending(JOB, waiting),
    forget: (id) => kept.removePending(id),
  };
  return new JobSync(ports, wordProblem);
}
const settled = () => new Promise((done) => setTimeout(done, 30));

let stores: KeptJobs[] = [];
const open = (name: string) => {
  const store = new KeptJobs(name);
  stores.push(store);
  return store;
};
afterEach(() => {
  for (const store of stores) store.close();
  stores = [];
});

describe('a job kept on the device', () => {
  it('comes back as it was, instruments too; one never opened here is unknown', async () => {
    const name = randomUUID();
    await open(name).keepLog(JOB, 'V-1', opened.entries, [gauge]);
    const back = await open(name).load(JOB);
    expect(back?.log).toEqual(opened.entries);
    expect(must(fold(back?.log ?? [])).version).toBe(2);
    expect(back?.instruments).toEqual([gauge]);
    expect(await open(name).load(randomUUID())).toBeUndefined();
    expect(await open(name).list()).toEqual([{ id: JOB, tag: 'V-1' }]);
  });

  it('what was done without a connection outlives the tab, in order, and is sent once', async () => {
    const name = randomUUID();
    const first = open(name);
    await first.keepLog(JOB, 'V-1', opened.entries, []);
    const before = device(first, () => LOST);
    await before.receive(opened.entries);
    for (const text of ['one', 'two', 'three']) expect(before.do(note(text))).toBeUndefined();
    await settled();
    expect(before.view.waiting.map(({ what }) => what)).toEqual(['one', 'two', 'three']);
    first.close(); // the tab is killed

    const again = open(name);
    const kept = await again.load(JOB);
    const pending = await again.waitingOn(JOB, ADA);
    expect(pending.map(({ command }) => command)).toEqual(['one', 'two', 'three'].map(note));
    const sent: string[] = [];
    let state = opened.state;
    const after = device(again, ({ commandId: id, command }) => {
      sent.push(JSON.stringify(command));
      const taken = must(
        record(state, [{ kind: 'note-added', body: (command as ReturnType<typeof note>).body }], {
          commandId: id,
          by: ADA,
          at: NOW,
        }),
      );
      state = taken.state;
      return { kind: 'taken', entries: taken.entries };
    });
    await after.receive(kept?.log ?? []);
    after.resume(pending);
    await settled();
    expect(sent).toHaveLength(3);
    expect(after.view.waiting).toEqual([]);
    expect(after.view.state.records['note-added'].map(({ body }) => body.text)).toEqual([
      'one',
      'two',
      'three',
    ]);
    expect(await again.waitingOn(JOB, ADA)).toEqual([]);
  });

  it('what the server had taken before the tab died is not sent twice', async () => {
    const kept = open(randomUUID());
    const id = commandId.parse(randomUUID());
    const taken = must(
      record(opened.state, [{ kind: 'note-added', body: { text: 'one' } }], {
        commandId: id,
        by: ADA,
        at: NOW,
      }),
    );
    await kept.keepLog(JOB, 'V-1', opened.entries, []);
    await kept.addPending(JOB, { commandId: id, command: note('one'), person: ADA, at: NOW });
    let posts = 0;
    const sync = device(kept, () => {
      posts++;
      return LOST;
    });
    await sync.receive([...opened.entries, ...taken.entries]);
    sync.resume(await kept.waitingOn(JOB, ADA));
    await settled();
    expect(posts).toBe(0);
    expect(sync.view.state.records['note-added']).toHaveLength(1);
  });

  it('what became impossible meanwhile is said in words, and is not kept for ever', async () => {
    const kept = open(randomUUID());
    await kept.keepLog(JOB, 'V-1', opened.entries, []);
    const id = commandId.parse(randomUUID());
    await kept.addPending(JOB, {
      commandId: id,
      command: { kind: 'do-step', body: { step: 'strip.lift' } },
      person: ADA,
      at: NOW,
    });
    const sync = device(kept, () => LOST);
    await sync.receive(opened.entries);
    sync.resume(await kept.waitingOn(JOB, ADA));
    await settled();
    expect(sync.view.lapsed[0]?.text).toMatch(/waits for/);
    expect(await kept.waitingOn(JOB, ADA)).toEqual([]);
  });

  it('a photograph outlives the tab, byte by byte, until it has been sent', async () => {
    const name = randomUUID();
    const bytes = new Uint8Array([255, 216, 255, 0, 7]);
    const photo = randomUUID();
    const first = open(name);
    await first.keepPhoto(photo, new Blob([bytes], { type: 'image/jpeg' }));
    first.close();
    const again = open(name);
    const kept = await again.photo(photo);
    expect(kept?.type).toBe('image/jpeg');
    expect([...new Uint8Array((await kept?.arrayBuffer()) ?? [])]).toEqual([...bytes]);
    await again.removePhoto(photo);
    expect(await again.photo(photo)).toBeUndefined();
  });

  it('what one person left waiting is not sent as another’s', async () => {
    const name = randomUUID();
    const kept = open(name);
    await kept.keepLog(JOB, 'V-1', opened.entries, []);
    await kept.addPending(JOB, {
      commandId: commandId.parse(randomUUID()),
      command: note('mine'),
      person: ADA,
      at: NOW,
    });
    expect(await kept.waitingOn(JOB, BO)).toEqual([]);
    expect(await kept.waitingOn(JOB, ADA)).toMatchObject([{ person: ADA }]);
    expect(await kept.waitingByPerson(JOB)).toEqual([{ person: ADA.id, name: 'Ada', count: 1 }]);
    expect(await kept.waitingByPerson(randomUUID())).toEqual([]);
  });

  it('a job that cannot be read any more takes nothing along of what waits', async () => {
    const kept = open(randomUUID());
    const [first, ...rest] = opened.entries;
    const unreadable = [
      { ...first, kind: 'of a later version' },
      ...rest,
    ] as unknown as typeof opened.entries;
    await kept.keepLog(JOB, 'V-1', unreadable, []);
    await kept.addPending(JOB, {
      commandId: commandId.parse(randomUUID()),
      command: note('mine'),
      person: ADA,
      at: NOW,
    });
    expect(await kept.load(JOB)).toBeUndefined();
    expect(await kept.waitingOn(JOB, ADA)).toMatchObject([{ command: note('mine') }]);
  });

  it('whoever leaves takes the jobs off the device, and what waits to be sent stays', async () => {
    const kept = open(randomUUID());
    await kept.keepLog(JOB, 'V-1', opened.entries, []);
    await kept.addPending(JOB, {
      commandId: commandId.parse(randomUUID()),
      command: note('mine'),
      person: ADA,
      at: NOW,
    });
    await kept.forgetJobs();
    expect(await kept.load(JOB)).toBeUndefined();
    expect(await kept.list()).toEqual([]);
    expect(await kept.waitingOn(JOB, ADA)).toHaveLength(1);
  });
});
