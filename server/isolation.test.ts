import { usualLine } from '@dusk-wren/core/isolation';
import { defaultValve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { done, laidOut, openShop, PIN, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let bo: Screen;
let lea: Screen;
let job: string;
let version = 2;

beforeAll(async () => {
  shop = await openShop();
  [ada, bo, lea] = await Promise.all([
    Screen.open(shop, 'ada'),
    Screen.open(shop, 'bo'),
    Screen.open(shop, 'lea'),
  ]);
  const opened = await ada.post('/api/jobs', {
    commandId: randomUUID(),
    valve: { id: shop.valve },
    place: 'in line',
    reported: 'passes when shut',
  });
  job = String(opened.body.id);
});
afterAll(() => shop.close());

async function take(screen: Screen, command: object): Promise<void> {
  const answer = await send(screen, command);
  expect(answer.status, JSON.stringify(answer.body)).toBe(200);
  version = Number(answer.body.version);
}
const send = (screen: Screen, command: object & { kind?: string }) =>
  command.kind === 'sign-isolation'
    ? screen.sign(job, version, command)
    : screen.command(job, version, command);
const refused = async (screen: Screen, command: object) => (await send(screen, command)).body;
const sign = (side: string) => ({ kind: 'sign-isolation', body: { step: 'isolate.sign', side } });
const read = (side: string, value: string) => ({
  kind: 'take-measurement',
  body: {
    step: `isolate.zero.${side}-pressure`,
    what: `pressure ${side}`,
    value,
    readBy: 'hand',
  },
});
const passOver = (step: string) => ({ kind: 'do-step', body: { step, notNeeded: true } });

describe('an isolation on the server', () => {
  it('nothing of the strip is taken before it, whatever is asked for', async () => {
    for (const step of ['strip.match-mark', 'strip.slack', 'strip.lift', 'isolate.sign'])
      expect(await refused(ada, done(step)), step).toMatchObject({ problem: { code: 'step.waits' } });
  });

  it('a line that proves nothing is refused, and nothing is stored', async () => {
    for (const step of ['receive.plate', 'diagnose.report']) await take(ada, done(step));
    await take(ada, laidOut('receive.spares'));
    for (const step of ['diagnose.as-found', 'diagnose.place', 'diagnose.gland.tighten'])
      await take(ada, passOver(step));
    const line = { ...usualLine(defaultValve().features), upstream: { shutBy: 'block valve', vent: false } };
    const answer = await ada.command(job, version, {
      kind: 'draw-line',
      body: { step: 'isolate.line', line },
    });
    expect(answer.status).toBe(400);
    expect(answer.body.text).toMatch(/Nothing proves that the upstream side is at zero/);
  });

  it('points in order, each with its lock; a lock cannot hang in two places', async () => {
    await take(ada, {
      kind: 'draw-line',
      body: { step: 'isolate.line', line: usualLine(defaultValve().features) },
    });
    const hang = (side: string, lock: string) => ({
      kind: 'hang-lock',
      body: { step: `isolate.block.${side}`, lock, tag: `T-${side}` },
    });
    expect(await refused(ada, hang('downstream', '7'))).toMatchObject({ problem: { code: 'step.waits' } });
    await take(ada, hang('upstream', '7'));
    expect(await refused(bo, hang('downstream', '7'))).toMatchObject({
      problem: { code: 'lock.elsewhere', lock: '7' },
    });
    await take(bo, hang('downstream', '8'));
    for (const side of ['upstream', 'downstream']) await take(ada, done(`isolate.vent.${side}`));
  });

  it('a reading that is not zero is kept and stops it; zero on both sides goes on', async () => {
    await take(ada, read('upstream', '41 psig'));
    expect(await refused(ada, sign('done'))).toMatchObject({ problem: { code: 'step.waits' } });
    await take(ada, read('upstream', '0 psig'));
    await take(ada, read('downstream', '0 bar g'));
  });

  it('a signature wants the PIN again, for this one command', async () => {
    const bare = await ada.command(job, version, sign('done'));
    expect(bare.status).toBe(403);
    expect(bare.body.problem.code).toBe('pin.needed');
    expect((await ada.sign(job, version, sign('done'), '0000')).body.problem.code).toBe('pin.wrong');
    const commandId = randomUUID();
    const { body } = await ada.post('/api/confirmations', { pin: PIN, commandId });
    const other = await ada.post(`/api/jobs/${job}/commands`, {
      baseVersion: version,
      commandId: randomUUID(),
      command: sign('done'),
      confirmation: body.confirmation,
    });
    expect(other.body.problem.code).toBe('pin.needed');
  });

  it('two people sign: one who did it, and one with no hand in a lock or a zero', async () => {
    expect(await refused(lea, sign('done'))).toMatchObject({ problem: { code: 'isolation.not-done-by' } });
    await take(ada, sign('done'));
    expect(await refused(ada, sign('checked'))).toMatchObject({
      problem: { code: 'isolation.both-sides', person: 'ada' },
    });
    expect(await refused(bo, sign('checked'))).toMatchObject({ problem: { code: 'isolation.own-hand' } });
    expect(await refused(ada, done('strip.slack'))).toMatchObject({ problem: { code: 'step.waits' } });
    // Lea signs at Ada's screen, with a name and a PIN of her own; Ada stays signed in.
    const unsigned = await ada.post(`/api/jobs/${job}/commands`, {
      baseVersion: version,
      commandId: randomUUID(),
      command: sign('checked'),
      signedBy: shop.people.lea,
    });
    expect(unsigned.body.problem.code).toBe('pin.needed');
    expect((await ada.sign(job, version, sign('checked'), '0000', shop.people.lea)).body.problem.code).toBe(
      'pin.wrong',
    );
    // Only what is signed, read by another, or sealed is done under another name.
    const note = { kind: 'add-note', body: { text: 'under another name' } };
    expect((await ada.sign(job, version, note, PIN, shop.people.lea)).body.problem.code).toBe('pin.needed');
    const signed = await ada.sign(job, version, sign('checked'), PIN, shop.people.lea);
    expect(signed.body.entries.at(-1).by).toMatchObject({ id: shop.people.lea });
    version = Number(signed.body.version);
    expect((await ada.get('/api/session')).body.person.id).toBe(shop.people.ada);
    const mark = { kind: 'set-mark', body: { step: 'strip.match-mark', part: 'bonnet', clock: '2 o’clock' } };
    await take(ada, mark);
    await take(ada, done('strip.wheel-nut'));
  });

  it('is on paper in both systems of units; other units and other jobs are refused', async () => {
    for (const paper of ['isolation', 'job-sheet']) {
      const answer = await ada.get(`/api/jobs/${job}/${paper}.pdf?units=SI`);
      expect(answer.status).toBe(200);
      expect(answer.headers['content-type']).toBe('application/pdf');
    }
    expect((await ada.get(`/api/jobs/${job}/isolation.pdf?units=furlongs`)).status).toBe(400);
    expect((await ada.get(`/api/jobs/${randomUUID()}/isolation.pdf`)).status).toBe(404);
  });

  it('goes out with the export, locks and signatures and all', async () => {
    const { body } = await ada.get(`/api/jobs/${job}/export.json`);
    const kinds = new Set(body.entries.map(({ kind }: { kind: string }) => kind));
    for (const kind of ['line-drawn', 'lock-hung', 'isolation-signed', 'mark-set'])
      expect([...kinds]).toContain(kind);
  });
});
