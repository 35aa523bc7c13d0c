import { wordProblem } from '@dusk-wren/contract/wording';
import { NOTHING_OUTSIDE, openJob, record } from '@dusk-wren/core/command';
import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { commandId, EMPTY_JOB, fold, instrumentId, personStamp } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { defaultValve } from '@dusk-wren/core/valve';
import Dexie from 'dexie';
import { randomBytes, randomUUID } from 'node:crypto';
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
  byItself: true,
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

const SECRETS: Readonly<Record<string, string>> = {
  Ada: randomBytes(32).toString('base64'),
  Bo: randomBytes(32).toString('base64'),
};
let stores: KeptJobs[] = [];
/** The device as it is when somebody has signed in on it. */
const open = async (name: string, who = ADA) => {
  const store = shut(name);
  await store.unlock(who.id, SECRETS[who.name] ?? '');
  return store;
};
/** The same before anybody has. */
const shut = (name: string) => {
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
    await (await open(name)).keepLog(JOB, 'V-1', opened.entries, [gauge]);
    const back = await (await open(name)).load(JOB);
    expect(back?.log).toEqual(opened.entries);
    expect(must(fold(back?.log ?? [])).version).toBe(2);
    expect(back?.instruments).toEqual([gauge]);
    expect(await (await open(name)).load(randomUUID())).toBeUndefined();
    expect(await (await open(name)).list()).toEqual([{ id: JOB, tag: 'V-1' }]);
  });

  it('what was done without a connection outlives the tab, in order, and is sent once', async () => {
    const name = randomUUID();
    const first = await open(name);
    await first.keepLog(JOB, 'V-1', opened.entries, []);
    const before = device(first, () => LOST);
    await before.receive(opened.entries);
    for (const text of ['one', 'two', 'three']) expect(before.do(note(text))).toBeUndefined();
    await settled();
    expect(before.view.waiting.map(({ what }) => what)).toEqual(['one', 'two', 'three']);
    first.close(); // the tab is killed

    const again = await open(name);
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
    const kept = await open(randomUUID());
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
    const kept = await open(randomUUID());
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
    const first = await open(name);
    await first.keepPhoto(photo, new Blob([bytes], { type: 'image/jpeg' }));
    first.close();
    const again = await open(name);
    const kept = await again.photo(photo);
    expect(kept?.type).toBe('image/jpeg');
    expect([...new Uint8Array((await kept?.arrayBuffer()) ?? [])]).toEqual([...bytes]);
    await again.removePhoto(photo);
    expect(await again.photo(photo)).toBeUndefined();
  });

  it('what one person left waiting is not sent as another’s', async () => {
    const name = randomUUID();
    const kept = await open(name);
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
    const kept = await open(randomUUID());
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
    const kept = await open(randomUUID());
    await kept.keepLog(JOB, 'V-1', opened.entries, []);
    await kept.addPending(JOB, {
      commandId: commandId.parse(randomUUID()),
      command: note('mine'),
      person: ADA,
      at: NOW,
    });
    await kept.lock();
    await expect(kept.load(JOB)).rejects.toThrow('nobody is signed in');
    await kept.unlock(ADA.id, SECRETS['Ada'] ?? '');
    expect(await kept.load(JOB)).toBeUndefined();
    expect(await kept.list()).toEqual([]);
    expect(await kept.waitingOn(JOB, ADA)).toHaveLength(1);
  });
});

/** All that lies in a store of this device, as whoever opens its files would see it. */
async function asItLies(name: string): Promise<string> {
  const raw = await new Dexie(name).open();
  const rows = await Promise.all(raw.tables.map((table) => table.toArray()));
  raw.close();
  return JSON.stringify(rows, (_key, value: unknown) =>
    value instanceof ArrayBuffer ? Buffer.from(value).toString('latin1') : value,
  );
}

describe('what lies on the device', () => {
  const mine = (command: object): Waiting => ({
    commandId: commandId.parse(randomUUID()),
    command,
    person: ADA,
    at: NOW,
  });

  it('is sealed: neither tag, nor note, nor picture, nor what is half typed can be read there', async () => {
    const name = randomUUID();
    const kept = await open(name);
    const photo = randomUUID();
    await kept.keepLog(JOB, 'HV-9077', opened.entries, [gauge]);
    await kept.addPending(JOB, mine(note('a private word')));
    await kept.keepPhoto(photo, new Blob(['a picture in plain sight'], { type: 'image/jpeg' }));
    await kept.keepSmall('text/step', 'half typed');
    const lies = await asItLies(name);
    for (const word of [
      'HV-9077',
      'a private word',
      'plain sight',
      'half typed',
      'Gauge 1',
      SECRETS['Ada'] ?? '',
    ])
      expect(lies).not.toContain(word);
    // Whose work waits is said on the sign-in page anyway.
    expect(lies).toContain('"name":"Ada"');
    expect(await kept.list()).toEqual([{ id: JOB, tag: 'HV-9077' }]);
    expect(kept.small('text/step')).toBe('half typed');
  });

  it('is read by nobody after they left, and by nobody else; again by themselves once they are back', async () => {
    const name = randomUUID();
    const kept = await open(name);
    await kept.addPending(JOB, mine(note('mine')));
    await kept.keepSmall('text/step', 'half typed');
    await kept.lock();
    expect(kept.small('text/step')).toBeUndefined();
    await expect(kept.waitingOn(JOB, ADA)).rejects.toThrow('nobody is signed in');
    expect(await kept.waitingByPerson()).toEqual([{ person: ADA.id, name: 'Ada', count: 1 }]);
    expect(await kept.wake(ADA.id)).toBe(false);
    kept.close();

    const others = await open(name, BO);
    expect(await others.waitingOn(JOB, ADA)).toEqual([]);
    expect(others.small('text/step')).toBeUndefined();
    others.close();

    const again = await open(name);
    expect(await again.waitingOn(JOB, ADA)).toMatchObject([{ command: note('mine'), person: ADA }]);
    expect(again.small('text/step')).toBe('half typed');
  });

  it('a page that is opened again without a connection goes on as whoever was here, and as nobody else', async () => {
    const name = randomUUID();
    const before = await open(name);
    await before.keepLog(JOB, 'V-1', opened.entries, []);
    before.close();
    const again = shut(name);
    expect(await again.wake(BO.id)).toBe(false);
    expect(await again.wake(ADA.id)).toBe(true);
    expect((await again.load(JOB))?.log).toEqual(opened.entries);
  });

  it('what was put in another’s place, or changed by one bit, is not read', async () => {
    const name = randomUUID();
    const kept = await open(name);
    const [one, two] = [mine(note('one')), mine(note('two'))];
    await kept.addPending(JOB, one);
    await kept.addPending(JOB, two);
    const raw = await new Dexie(name).open();
    const row: { body: { sealed: ArrayBuffer } } = await raw.table('pending').get(one.commandId);
    await raw.table('pending').update(two.commandId, { body: row.body });
    const [first = 0, ...rest] = new Uint8Array(row.body.sealed);
    const changed = { ...row.body, sealed: new Uint8Array([first ^ 1, ...rest]).buffer };
    await raw.table('pending').update(one.commandId, { body: changed });
    raw.close();
    expect(await kept.waitingOn(JOB, ADA)).toEqual([]);
  });

  it('what waited from before it was sealed is sealed when its person is here, its photograph too', async () => {
    const name = randomUUID();
    const older = new Dexie(name);
    older.version(2).stores({ jobs: 'id', pending: 'commandId, [job+person]', photos: 'id' });
    const photo = randomUUID();
    const command = { kind: 'add-photo', body: { photo, caption: 'an old scar' } };
    const { commandId: id, ...rest } = mine(command);
    await older.table('pending').put({ ...rest, commandId: id, job: JOB, person: ADA.id, by: ADA, order: 1 });
    const picture = new TextEncoder().encode('scar as seen').buffer;
    await older.table('photos').put({ id: photo, picture, type: 'image/jpeg' });
    await older.table('jobs').put({ id: JOB, tag: 'HV-9077', log: [], instruments: [] });
    older.close();
    const kept = await open(name);
    expect(await kept.waitingOn(JOB, ADA)).toMatchObject([{ commandId: id, command, person: ADA }]);
    expect(await (await kept.photo(photo))?.text()).toBe('scar as seen');
    const lies = await asItLies(name);
    for (const word of ['an old scar', 'as seen', 'HV-9077']) expect(lies).not.toContain(word);
  });

  it('of a text that is typed, what was typed last stays', async () => {
    const name = randomUUID();
    const kept = await open(name);
    // Long ones take longer to seal than short ones.
    const texts = ['x'.repeat(400_000), 'x'.repeat(1000), 'x'];
    await Promise.all(texts.map((text) => kept.keepSmall('text/step', text)));
    kept.close();
    expect((await open(name)).small('text/step')).toBe('x');
  });

  it('what waits to be sent stays however much is typed after it', async () => {
    const name = randomUUID();
    const kept = await open(name);
    await kept.keepSmall('waiting/drills', ['one']);
    for (let i = 0; i < 301; i++) await kept.keepSmall(`text/${i}`, 'x');
    kept.close();
    expect((await open(name)).small('waiting/drills')).toEqual(['one']);
  });
  it('of small things only the last three hundred of a person stay', async () => {
    const name = randomUUID();
    const kept = await open(name);
    for (let i = 0; i < 303; i++) await kept.keepSmall(`text/${i}`, String(i));
    kept.close();
    const again = await open(name);
    expect(again.smallNames('text/')).toHaveLength(300);
    await again.keepSmall('text/302', undefined);
    expect(again.small('text/302')).toBeUndefined();
  });
});
