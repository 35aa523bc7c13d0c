import {
  witnessed,
  workRule,
  type RuledWork,
  type WitnessAsked,
  type WorkRule,
} from '@dusk-wren/contract/drills';
import { DRILLS, skillsOf, wantingOf, type Wanting } from '@dusk-wren/core/drill';
import { createHash } from 'node:crypto';
import { findPerson } from '../database/people';
import { WitnessedRow, WorkRuleRow } from '../database/drill-models';
import { findJob } from '../database/jobs';
import { JobRow, PersonRow } from '../database/models';
import { noted } from '../database/noted-change';
import type { Moment } from '../database/setup-changes';
import { Refusal } from '../refusal';
import { attemptsByPerson } from './attempts';

const stored = (text: string): unknown => JSON.parse(text);

/** What this shop asks for; rules that ask for nothing are none. */
export async function workRules(): Promise<WorkRule[]> {
  return (await WorkRuleRow.findAll()).map(({ work, drills, witnessed: watched }) =>
    workRule.parse({ work, drills: stored(drills), witnessed: watched }),
  );
}

export const setWorkRule = (moment: Moment, { work, drills, witnessed: watched }: WorkRule): Promise<void> =>
  noted(moment, 'training', async (transaction) => {
    if (drills.length === 0 && !watched) {
      await WorkRuleRow.destroy({ where: { work }, transaction });
      return `nothing is asked before ${work} work`;
    }
    await WorkRuleRow.upsert({ work, drills: JSON.stringify(drills), witnessed: watched }, { transaction });
    const asked = [...drills.map((id) => `“${DRILLS[id].title}”`), ...(watched ? ['a witnessed job'] : [])];
    return `before ${work} work: ${asked.join(', ')}`;
  });

/** Somebody was watched at a real job; nobody watches themselves. */
export const witness = (moment: Moment, { person, work, job }: WitnessAsked): Promise<void> =>
  noted(moment, 'training', async (transaction) => {
    const whose = await findPerson(person);
    if (!whose) throw new Refusal({ code: 'person.unknown', id: person });
    if (whose.id === moment.by.id) throw new Refusal({ code: 'witness.own', person: whose.name });
    const { tag } = await findJob(job);
    await WitnessedRow.create(
      { personId: person, work, jobId: job, witnessedBy: moment.by.name, at: moment.now },
      { transaction },
    );
    return `${whose.name} was watched at ${work} work on ${tag}`;
  });

export const unwitness = (moment: Moment, id: number): Promise<void> =>
  noted(moment, 'training', async (transaction) => {
    const row = await WitnessedRow.findByPk(id, { transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'witnessed job' });
    await row.destroy({ transaction });
    return `a witnessed job of ${row.work} work no longer counts`;
  });

export async function witnessedJobs() {
  const rows = await WitnessedRow.findAll({ order: [['at', 'DESC']] });
  const jobs = await JobRow.findAll({
    where: { id: rows.map(({ jobId }) => jobId) },
    attributes: ['id', 'tag'],
  });
  const tags = new Map(jobs.map(({ id, tag }) => [id, tag]));
  return rows.map(({ id, personId, work, jobId, witnessedBy, at }) =>
    witnessed.parse({
      ...{ id, person: personId, work, job: jobId, by: witnessedBy },
      tag: tags.get(jobId) ?? 'a job',
      at: at.toISOString(),
    }),
  );
}

/** What is wanting of each person who is here still, by the shop's rules; asked of nobody's history where there are none. */
export async function wantingByPerson(
  now: Date,
): Promise<ReadonlyMap<string, readonly Wanting<RuledWork>[]>> {
  const rules = await workRules();
  if (rules.length === 0) return new Map();
  const people = (await PersonRow.findAll({ where: { leftAt: null }, attributes: ['id'] })).map(
    ({ id }) => id,
  );
  const asked = [...new Set(rules.flatMap(({ drills }) => drills))];
  const [done, watched] = await Promise.all([attemptsByPerson(people, asked), WitnessedRow.findAll()]);
  return new Map(
    people.map((id) => {
      const own = watched.filter(({ personId }) => personId === id);
      const at = new Set(own.map(({ work }) => workRule.shape.work.parse(work)));
      return [id, wantingOf<RuledWork>(rules, skillsOf(done.get(id) ?? [], now), at)] as const;
    }),
  );
}

/** The same in short, by which a plan sees that somebody has qualified or a skill has faded. */
export async function wantingLine(now: Date): Promise<string> {
  const wanting = await wantingByPerson(now);
  const lines = [...wanting].flatMap(([person, works]) => works.map(({ work }) => `${person} ${work}`));
  return createHash('sha256').update(lines.sort().join('\n')).digest('hex').slice(0, 16);
}
