import { jobListView } from '@dusk-wren/contract';
import { asksOf, boltedJoint, CONSTRUCTION_IDS, valveSchema } from '@dusk-wren/core/valve';
import { siteRulesSchema } from '@dusk-wren/core/inspection';
import { fold, personStamp, readLog } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { conditionSchema } from '@dusk-wren/core/simulation';
import { createConnection } from 'mariadb';
import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { certificatePdf } from '../documents/certificate-pdf';
import { connect } from '../database/connection';
import { loadLog } from '../database/job-log';
import { listJobs } from '../database/jobs';
import { migrate } from '../database/migrate';
import { defineModels, JobRow, PersonRow, ValveRow } from '../database/models';
import { pageOfValve } from '../database/valve-register';
import { JobLifeRow } from '../database/life-models';
import { FIELD, INSTRUMENTS, PEOPLE, SHELF, SITES, STORIES } from './scenario';
import { isThere } from './where';
import { seedDemo } from './seed';

describe('the Pinder Street scenario', () => {
  const valves = [...STORIES.map(({ valve }) => valve), ...SHELF];
  it('has at least twelve valves in various sizes and classes, thirty-eight jobs, six people, nine instruments', () => {
    expect(valves.length).toBeGreaterThanOrEqual(12);
    expect(STORIES).toHaveLength(38);
    expect(PEOPLE).toHaveLength(6);
    expect(INSTRUMENTS).toHaveLength(9);
    expect(new Set(valves.map(({ nps }) => nps)).size).toBeGreaterThanOrEqual(4);
    expect(new Set(valves.map(({ pressureClass }) => pressureClass)).size).toBeGreaterThanOrEqual(4);
    expect(new Set(PEOPLE.map(({ role }) => role))).toEqual(new Set(['technician', 'inspector', 'lead']));
  });
  it('one instrument is out of calibration', () => {
    expect(INSTRUMENTS.filter(({ dueInDays }) => dueInDays < 0)).toHaveLength(1);
  });
  it('every valve reads as one, with a tag and a serial of its own', () => {
    for (const valve of valves) expect(valveSchema.safeParse(valve).success, valve.tag).toBe(true);
    expect(new Set(valves.map(({ tag }) => tag)).size).toBe(valves.length);
  });
  it('serves three customers, each with site rules that read', () => {
    expect(new Set(valves.map(({ customer }) => customer))).toEqual(new Set(Object.keys(SITES)));
    for (const rules of Object.values(SITES)) expect(siteRulesSchema.safeParse(rules).success).toBe(true);
  });
  it('one plate could not be read: the plan asks', () => {
    expect(valves.filter((valve) => asksOf(valve).length > 0).map(({ tag }) => tag)).toEqual(['HV-118']);
  });
  it('every story has a condition that its instruments can read', () => {
    for (const { condition } of STORIES) expect(conditionSchema.safeParse(condition).success).toBe(true);
  });
  it('no stud is of a size a bonnet would not carry: more bolts or thicker ones in a higher class of one size', () => {
    const three = valves.filter(({ nps, features }) => nps === 3 && features.joint.kind === 'bolted-bonnet');
    expect(three.length).toBeGreaterThan(1);
    for (const { features } of three) expect(boltedJoint(features)?.thread).toMatch(/^[\d/ ]+-\d+$/);
  });
  it('has a job for every construction', () => {
    expect(new Set(STORIES.map(({ valve }) => valve.construction))).toEqual(new Set(CONSTRUCTION_IDS));
  });
});

describe('played into a database through the same commands as real work', () => {
  const name = `dw_demo_${randomUUID().replaceAll('-', '').slice(0, 12)}`;
  let sequelize: Sequelize;
  let admin: Awaited<ReturnType<typeof createConnection>>;
  beforeAll(async () => {
    const url = process.env['TEST_DATABASE_URL'] ?? '';
    admin = await createConnection(url);
    await admin.query(`CREATE DATABASE ${name}`);
    sequelize = connect(url.replace(/\/[^/]*$/, `/${name}`));
    defineModels(sequelize);
    await migrate(sequelize, () => undefined);
    expect(await seedDemo(sequelize, () => undefined)).toBe(true);
  }, 120_000);
  afterAll(async () => {
    await sequelize.close();
    await admin.query(`DROP DATABASE ${name}`);
    await admin.end();
  });

  /** What was opened in the last weeks, and not in the years before. */
  const MONTH = 30 * 24 * 60 * 60 * 1000;
  const jobs = async () =>
    (await listJobs(sequelize, { state: 'all', limit: 100 }, new Date().toISOString())).jobs.filter(
      ({ openedAt }) => Date.parse(openedAt) > Date.now() - MONTH,
    );
  const stateOf = async (tag: string) => {
    const row = await JobRow.findOne({ where: { tag } });
    return must(fold(must(readLog(await loadLog(row?.id ?? '', 0)))));
  };

  it('a second time it changes nothing', async () => {
    const before = [await JobRow.count(), await PersonRow.count()];
    expect(await seedDemo(sequelize, () => undefined)).toBe(false);
    expect([await JobRow.count(), await PersonRow.count()]).toEqual(before);
  });
  it('each job stands where its story says', async () => {
    for (const { valve, until } of STORIES) {
      const current = must(plan(await stateOf(valve.tag)));
      if (until === 'signed') expect(current?.inHand, valve.tag).toBeUndefined();
      else expect(current?.inHand && isThere(current.inHand, until), valve.tag).toBe(true);
    }
  });
  it('the years before have a story each: metal that is nearly gone, a longer and a shorter interval, one that came back', async () => {
    const ofTag = async (tag: string) => pageOfValve((await ValveRow.findOne({ where: { tag } }))?.id ?? '');
    const seat = await ofTag('HV-2231');
    expect(seat.jobs).toHaveLength(5);
    expect(seat.due.map(({ kind, words }) => [kind, words])).toContainEqual([
      'measure',
      'stock of the seat meets its limit',
    ]);
    const found = async (tag: string) => (await ofTag(tag)).carried.found.map((each) => each.found);
    expect(await found('PSV-121')).toEqual(['good', 'good', 'good']);
    expect(await found('PSV-122')).toEqual(['good', 'high', 'stuck']);
    const [longer, shorter] = [await ofTag('PSV-121'), await ofTag('PSV-122')];
    expect([longer, shorter].map(({ carried }) => carried.months)).toEqual([60, 12]);
    const back = await JobLifeRow.findAll({ where: { cameBack: true } });
    expect(back.map(({ cause }) => cause)).toEqual(['stem scored']);
    expect((await ofTag('FV-61')).carried.temporary).toHaveLength(1);
    const eaten = await JobLifeRow.count({ where: { customer: FIELD, cause: 'seat worn' } });
    expect(eaten).toBe(16);
  });
  it('the list shows all of them, in every state and at every stage, and what blocks them', async () => {
    const listed = jobListView.parse({ jobs: await jobs(), next: null }).jobs;
    expect(listed).toHaveLength(38);
    expect(await ValveRow.count()).toBeGreaterThanOrEqual(13);
    expect(new Set(listed.map(({ summary }) => summary.stage)).size).toBeGreaterThanOrEqual(7);
    expect(listed.filter(({ summary }) => summary.state === 'released')).toHaveLength(1);
    expect(new Set(listed.map(({ summary }) => summary.blocked?.kind))).toEqual(
      new Set([undefined, 'hold', 'ask', 'part', 'pressure']),
    );
    const blocked = Object.fromEntries(listed.map(({ tag, summary }) => [tag, summary.blocked?.kind]));
    expect(blocked).toMatchObject({
      'TW-31': 'pressure',
      'DH-402': 'part',
      'DH-415': 'hold',
      'TW-12': 'ask',
    });
    expect(listed.find(({ tag }) => tag === 'HV-1907')?.summary.state).toBe('released');
  });
  const found = async (query: Partial<Parameters<typeof listJobs>[1]>, now = new Date().toISOString()) =>
    (await listJobs(sequelize, { state: 'open', limit: 100, ...query }, now)).jobs;
  const waitingFor = async (role: 'technician' | 'inspector' | 'lead', now?: string) => {
    const row = await PersonRow.findOne({ where: { role } });
    const person = personStamp.parse({ id: row?.id, name: row?.name, role });
    return { person, jobs: await found({ waitsFor: person }, now) };
  };

  it('what waits for somebody: holds and asks for an inspector, stops and asks for a lead, own work for a technician', async () => {
    const kinds = (jobs: readonly { summary: { blocked?: { kind: string } | undefined } }[]) =>
      new Set(jobs.map(({ summary }) => summary.blocked?.kind));
    const inspector = await waitingFor('inspector');
    expect(kinds(inspector.jobs)).toEqual(new Set(['hold', 'ask']));
    expect(inspector.jobs.map(({ tag }) => tag)).toContain('DH-415');
    const lead = await waitingFor('lead');
    expect(kinds(lead.jobs)).toEqual(new Set(['pressure', 'ask']));
    expect(lead.jobs.map(({ tag }) => tag)).toContain('TW-31');
    const technician = await waitingFor('technician');
    expect(technician.jobs.length).toBeGreaterThan(0);
    for (const { summary } of technician.jobs) expect(summary.withPerson?.id).toBe(technician.person.id);
  });
  it('a part that is overdue waits for a lead too, from the day after it was expected', async () => {
    const parts = async (now: string) =>
      (await waitingFor('lead', now)).jobs.filter(({ summary }) => summary.blocked?.kind === 'part');
    expect(await parts('2000-01-01T08:00:00.000Z')).toEqual([]);
    expect((await parts('2999-01-01T08:00:00.000Z')).map(({ tag }) => tag)).toContain('DH-402');
  });
  it('is found by the beginnings of words of its tag, serial, customer or place, and by nothing that only looks like a pattern', async () => {
    const tags = async (q: string) => (await found({ state: 'all', q })).map(({ tag }) => tag);
    expect(await tags('2214')).toContain('HV-2214');
    const refinery = await found({ state: 'all', q: 'mossgate' });
    expect(refinery.length).toBeGreaterThan(3);
    for (const { customer } of refinery) expect(customer).toMatch(/mossgate/i);
    expect(await tags('HV 22')).toContain('HV-2214');
    for (const pattern of ['H%14', 'HV-_214', 'HV%214']) expect(await tags(pattern)).not.toContain('HV-2214');
  });
  it('one failed its seat test and was opened again', async () => {
    expect(must(plan(await stateOf('DH-420')))?.openings).toBe(2);
  });
  it('the released one has a certificate that says it is simulated', async () => {
    const row = await JobRow.findOne({ where: { tag: 'HV-1907' } });
    const log = await loadLog(row?.id ?? '', 0);
    const [state, address, shop] = [
      must(fold(log)),
      'http://shop/x',
      { name: 'Pinder Street valve shop', zone: 'UTC' },
    ];
    const pdf = await certificatePdf({ log, state, units: 'SI', address, shop });
    expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    expect(pdf.length).toBeGreaterThan(20_000);
  });
  it('every log reads back entry by entry, in order', async () => {
    for (const row of await JobRow.findAll()) {
      const log = must(readLog(await loadLog(row.id, 0)));
      expect(log.map(({ seq }) => seq)).toEqual(log.map((_, i) => i + 1));
      expect(log.at(-1)?.seq).toBe(row.version);
    }
  });
});
