import {
  attemptsAnswer,
  classView,
  drillsView,
  onShiftView,
  type ClassView,
} from '@dusk-wren/contract/drills';
import { weekView } from '@dusk-wren/contract/week';
import { DRILLS, ticketFor, type DrillId, type Level, type Ticket } from '@dusk-wren/core/drill';
import { must } from '@dusk-wren/core/problem';
import { randomUUID } from 'node:crypto';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { AttemptRow } from './database/drill-models';
import { JobRow, PersonRow } from './database/models';
import { SetupChangeRow } from './database/setup-models';
import { binary, openShop, Screen, type Shop } from './testing/shop';

const MONDAY = new Date('2026-12-07T08:00:00Z');
const DAY = 24 * 3600 * 1000;
let shop: Shop;
let [lea, ada, ivo] = [{} as Screen, {} as Screen, {} as Screen];

beforeAll(async () => {
  shop = await openShop({}, undefined, () => MONDAY);
  [lea, ada, ivo] = await Promise.all([
    Screen.open(shop, 'lea'),
    Screen.open(shop, 'ada'),
    Screen.open(shop, 'ivo'),
  ]);
});
afterAll(() => shop.close());

/** An exercise done as somebody who knows does it, so many days ago. */
function done(
  drill: DrillId,
  daysAgo: number,
  more: { level?: Level; seed?: number; moves?: unknown[] } = {},
) {
  const ticket = ticketFor(drill, more.level ?? 1, more.seed ?? 7);
  const moves = more.moves ?? [...must(DRILLS[drill].sit(ticket)).best];
  const at = new Date(MONDAY.getTime() - daysAgo * DAY).toISOString();
  return { id: randomUUID(), ticket, moves, hints: 0, seconds: 95, at };
}
const send = (screen: Screen, ...attempts: object[]) => screen.post('/api/drills/attempts', { attempts });
const mine = async (screen: Screen) => drillsView.parse((await screen.get('/api/drills')).body);
const ofClass = async (): Promise<ClassView> => classView.parse((await lea.get('/api/drills/class')).body);

describe('exercises that were done', () => {
  it('are marked again here: the score is what the moves are worth, whoever sends them', async () => {
    const ticket = ticketFor('fit-or-not', 1, 3);
    const right = done('fit-or-not', 1, { seed: 3 });
    const wrong = done('fit-or-not', 0, { seed: 4, moves: [{ verdict: 'condemn', cost: 1 }] });
    const answer = attemptsAnswer.parse((await send(ada, right, wrong)).body);
    expect(answer.kept.map(({ score }) => score)).toEqual([1, 0]);
    expect((await mine(ada)).done.map(({ drill, score }) => [drill, score])).toEqual([
      ['fit-or-not', 1],
      ['fit-or-not', 0],
    ]);
    const row = await AttemptRow.findByPk(right.id);
    expect(JSON.parse(row?.ticket ?? '')).toEqual(ticket);
  });
  it('sent twice, at once too, are kept once; and nobody takes over what is another’s', async () => {
    const one = done('in-the-bag', 0);
    const before = await AttemptRow.count();
    await Promise.all([send(ada, one), send(ada, one)]);
    await send(ada, one);
    expect(await AttemptRow.count()).toBe(before + 1);
    const other = attemptsAnswer.parse((await send(ivo, one)).body);
    expect(other.kept[0]).toMatchObject({ score: null, refused: 'Somebody else did it.' });
  });
  it('done once more, known by heart, count no more', async () => {
    const first = done('comes-off-next', 0, { seed: 31 });
    await send(ada, first);
    const again = { ...first, id: randomUUID() };
    const { kept } = attemptsAnswer.parse((await send(ada, again)).body);
    expect(kept[0]).toMatchObject({ score: null });
    expect(kept[0]?.refused).toContain('done before');
    expect(attemptsAnswer.parse((await send(ivo, again)).body).kept[0]?.score).toBe(1);
  });
  it('one that cannot be marked says why and holds up none of the others', async () => {
    const nonsense = done('read-the-ring', 0, { moves: [{ do: 'paint' }] });
    const hinted = { ...done('bolt-it', 0, { level: 4 }), hints: 1 };
    const good = done('make-it-dead', 0);
    const { kept } = attemptsAnswer.parse((await send(ada, nonsense, hinted, good)).body);
    expect(kept.map(({ score }) => score)).toEqual([null, null, 1]);
    expect(kept[0]?.refused).not.toBe('');
    expect(kept[1]?.refused).toContain('hints');
  });
  it('a device whose clock is ahead does them now, not tomorrow', async () => {
    const ahead = done('straight-or-bent', -3);
    await send(ada, ahead);
    const row = await AttemptRow.findByPk(ahead.id);
    expect(row?.at.getTime()).toBeLessThanOrEqual(MONDAY.getTime() + 60_000);
  });
  it('a ticket that is none is refused as a whole', async () => {
    const bad = { ...done('bolt-it', 0), ticket: { drill: 'poker', seed: 1 } };
    expect((await send(ada, bad)).status).toBe(400);
    expect((await send(ada)).status).toBe(400);
  });
  it('touch no job and no count of faults', async () => {
    expect(await JobRow.count()).toBe(0);
    await send(ada, done('where-is-the-fault', 0));
    const { body } = await ada.get('/api/fault-counts');
    expect(JSON.stringify(body)).not.toMatch(/[1-9]/);
  });
});

describe('what a teacher sends', () => {
  const planted = (more: Partial<Ticket> = {}): Ticket => ({
    ...ticketFor('where-is-the-fault', 2, 5, 'control-globe-double-seat'),
    planted: { fault: 'relay faulty', symptom: 'half travel' },
    ...more,
  });
  it('waits for whoever it is for, until they have done it', async () => {
    const sent = await lea.post('/api/drills/tasks', {
      ticket: planted(),
      note: 'As on FV-210 last week.',
      people: [shop.people.ada, shop.people.bo],
    });
    expect(sent.status).toBe(200);
    const [task] = (await mine(ada)).tasks;
    expect(task).toMatchObject({ note: 'As on FV-210 last week.', by: 'lea', ticket: planted() });
    expect((await mine(ivo)).tasks).toEqual([]);
    const attempt = { ...done('where-is-the-fault', 0), ticket: task?.ticket, task: task?.id };
    const moves = must(DRILLS['where-is-the-fault'].sit(planted())).best;
    await send(ada, { ...attempt, moves });
    expect((await mine(ada)).tasks).toEqual([]);
    const people = (await ofClass()).tasks[0]?.people;
    expect(people?.map(({ name, score }) => [name, score])).toEqual([
      ['ada', 1],
      ['bo', null],
    ]);
  });
  it('is refused where nothing can be made of it, and sent to nobody', async () => {
    const send = (ticket: unknown, people: string[] = [shop.people.ada]) =>
      lea.post('/api/drills/tasks', { ticket, note: '', people });
    expect((await send(planted({ planted: { fault: 'rust' } }))).status).toBe(400);
    expect((await send(planted({ construction: 'relief-spring' }))).status).toBe(400);
    const worn = await send(planted({ planted: { fault: 'seat worn', symptom: 'passes when shut' } }));
    expect([worn.status, worn.body.problem.code]).toEqual([422, 'drill.cannot-be-told']);
    expect((await send(planted(), [randomUUID()])).status).toBe(404);
    expect((await ofClass()).tasks).toHaveLength(1);
  });
  it('is a lead’s to send, to take back and to look at', async () => {
    const asked = { ticket: planted(), note: '', people: [shop.people.bo] };
    expect((await ada.post('/api/drills/tasks', asked)).status).toBe(403);
    expect((await ada.get('/api/drills/class')).status).toBe(403);
    expect((await ivo.get('/api/drills/class.csv')).status).toBe(403);
    const [task] = (await ofClass()).tasks;
    expect((await lea.post(`/api/drills/tasks/${task?.id ?? ''}/remove`, {})).status).toBe(200);
    expect((await ofClass()).tasks).toEqual([]);
    const lines = await SetupChangeRow.findAll({ where: { subject: 'training' } });
    expect(lines.map(({ what }) => what)).toEqual([
      '“Where is the fault?” sent to ada, bo',
      '“Where is the fault?” of lea taken back',
    ]);
  });
});

describe('where a class loses its points', () => {
  it('is told by the lines of the marks, the most first', async () => {
    const wrong = (seed: number) => done('fit-or-not', 0, { seed, moves: [{ verdict: 'condemn', cost: 1 }] });
    await send(ada, wrong(21), wrong(22), wrong(23), done('bolt-it', 0), done('bolt-it', 0, { seed: 9 }));
    const { losing } = await ofClass();
    expect(losing[0]).toMatchObject({ drill: 'fit-or-not' });
    expect(losing.map(({ drill }) => drill)).not.toContain('bolt-it');
    const shares = losing.map(({ share }) => share);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
  });
});

describe('what work asks for', () => {
  const relief = { work: 'relief', drills: ['set-it'], witnessed: true };
  const withheld = async (name: string) =>
    (await ofClass()).people.find((person) => person.name === name)?.withheld;

  it('nobody is planned for it until their subjects hold and somebody has watched them', async () => {
    await PersonRow.update({ skills: '["relief"]' }, { where: { id: shop.people.ada } });
    const planned = async () =>
      weekView.parse((await lea.get('/api/week')).body).week.people.find(({ id }) => id === shop.people.ada)
        ?.skills;
    expect(await planned()).toEqual(['bench', 'relief']);
    expect((await lea.post('/api/drills/rules', relief)).status).toBe(200);
    expect(await withheld('ada')).toEqual(['relief']);
    expect(await planned()).toEqual(['bench']);

    await send(ada, ...[8, 7, 6, 5, 4].map((ago) => done('set-it', ago, { seed: ago })));
    expect(await withheld('ada')).toEqual(['relief']);
    const opened = await ada.openJob(shop);
    const witness = (person: string) =>
      lea.post('/api/drills/witnessed', { person, work: 'relief', job: opened });
    expect((await witness(shop.people.lea)).status).toBe(403);
    expect((await witness(shop.people.ada)).status).toBe(200);
    expect(await withheld('ada')).toEqual([]);
    expect(await planned()).toEqual(['bench', 'relief']);
  });
  it('the floor is told while nobody here has it, and who would have it', async () => {
    const onShift = async () => onShiftView.parse((await ada.get('/api/drills/on-shift')).body).nobody;
    expect(await onShift()).toEqual([]);
    await lea.post('/api/setup/hours/absences', {
      ...{ person: shop.people.ada, from: '2026-12-07', to: '2026-12-07', why: 'course' },
    });
    expect(await onShift()).toEqual([{ work: 'relief', qualified: ['ada'] }]);
  });
  it('a rule that asks for nothing is none', async () => {
    await lea.post('/api/drills/rules', { work: 'relief', drills: [], witnessed: false });
    expect((await ofClass()).rules).toEqual([]);
    expect((await ada.post('/api/drills/rules', relief)).status).toBe(403);
    expect((await lea.post('/api/drills/rules', { ...relief, work: 'inspector' })).status).toBe(400);
  });
});

describe('papers', () => {
  it('a certificate of training names the subjects that hold and the jobs that were watched', async () => {
    const answer = await ada.agent.get('/api/drills/certificate.pdf').buffer().parse(binary);
    const folder = mkdtempSync(join(tmpdir(), 'training-'));
    writeFileSync(join(folder, 'a.pdf'), answer.body);
    const text = execFileSync('pdftotext', ['-layout', join(folder, 'a.pdf'), '-']).toString();
    expect(text).toContain('Certificate of training');
    expect(text).toContain('Set it');
    expect(text).not.toContain('Turn which screw?');
    expect(text).toMatch(/relief\s+\S+.*lea/);
    expect((await ivo.get(`/api/drills/certificate.pdf?person=${shop.people.ada}`)).status).toBe(403);
  });
  it('the table has a row an exercise, one’s own or everybody’s', async () => {
    const rows = (text: string) => Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
    const own = rows((await ada.get('/api/drills/history.csv')).text);
    expect(own.length).toBe((await mine(ada)).done.length);
    expect(own[0]).toMatchObject({ person: 'ada', drill: 'set-it', 'score %': '100' });
    const all = rows((await lea.get('/api/drills/class.csv')).text);
    expect(all.length).toBe(await AttemptRow.count());
  });
});
