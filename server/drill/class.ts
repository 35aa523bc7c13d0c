import { classView, markLine, type ClassView } from '@dusk-wren/contract/drills';
import { LAST } from '@dusk-wren/core/drill';
import { ROLES } from '@dusk-wren/core/job';
import { workSkillsOf } from '@dusk-wren/core/schedule';
import { Op } from 'sequelize';
import { z } from 'zod';
import { AttemptRow } from '../database/drill-models';
import { PersonRow } from '../database/models';
import { attemptsByPerson, skillViews } from './attempts';
import { sentTasks, type SentTask } from './tasks';
import { wantingByPerson, witnessedJobs, workRules } from './work-rules';

const roleOf = (role: string) => z.enum(ROLES).parse(role);
const noted = (skills: string) => z.array(z.string()).parse(JSON.parse(skills));

/** What was done lately tells where a class stands. */
const LATELY_DAYS = 60;
const DAY = 24 * 3600 * 1000;
const MOST_LINES = 8;
/** One line of one exercise says nothing about a class. */
const LEAST_TIMES = 2;

/** Everybody, as whoever teaches sees them. */
export async function theClass(now: Date): Promise<ClassView> {
  const people = await PersonRow.findAll({ where: { leftAt: null }, order: [['name', 'ASC']] });
  const [done, tasks, rules, watched, wanting] = await Promise.all([
    attemptsByPerson(people.map(({ id }) => id)),
    sentTasks(),
    workRules(),
    witnessedJobs(),
    wantingByPerson(now),
  ]);
  const names = new Map(people.map(({ id, name }) => [String(id), name]));
  return classView.parse({
    people: people.map(({ id, name, role, skills }) => ({
      ...{ id, name, role },
      skills: skillViews(done.get(id) ?? [], now),
      // Of work that is noted of them, or that their role brings.
      withheld: (wanting.get(id) ?? []).flatMap(({ work }) =>
        workSkillsOf({ role: roleOf(role), skills: noted(skills) }).includes(work) ? [work] : [],
      ),
    })),
    losing: await losing(now),
    tasks: await answered(tasks, names),
    rules,
    witnessed: watched,
  });
}

/** Which lines of which exercises cost the most, over everybody's last weeks. */
async function losing(now: Date) {
  const rows = await AttemptRow.findAll({
    where: { at: { [Op.gte]: new Date(now.getTime() - LATELY_DAYS * DAY) } },
    attributes: ['drill', 'marks'],
    order: [['at', 'DESC']],
    limit: 200 * LAST,
  });
  const sums = new Map<string, { drill: string; what: string; lost: number; of: number; count: number }>();
  for (const { drill, marks } of rows)
    for (const { what, points, of } of z.array(markLine).parse(JSON.parse(marks))) {
      const key = `${drill} ${what}`;
      const so = sums.get(key) ?? { drill, what, lost: 0, of: 0, count: 0 };
      const lost = of - Math.max(0, points);
      sums.set(key, { ...so, lost: so.lost + lost, of: so.of + of, count: so.count + 1 });
    }
  return [...sums.values()]
    .map(({ drill, what, lost, of, count }) => ({ drill, what, count, share: of > 0 ? lost / of : 0 }))
    .filter(({ share, count }) => share > 0.1 && count >= LEAST_TIMES)
    .sort((a, b) => b.share - a.share)
    .slice(0, MOST_LINES);
}

/** Each task with what became of it, by person. */
async function answered(tasks: readonly SentTask[], names: ReadonlyMap<string, string>) {
  const rows = await AttemptRow.findAll({
    where: { taskId: { [Op.in]: tasks.map(({ task }) => task.id) } },
    attributes: ['personId', 'taskId', 'score', 'at'],
    order: [['at', 'ASC']],
  });
  return tasks.map(({ task, people }) => ({
    ...task,
    people: people.flatMap((id) => {
      const name = names.get(id);
      const first = rows.find(({ taskId, personId }) => taskId === task.id && personId === id);
      return name === undefined
        ? []
        : [{ id, name, score: first?.score ?? null, at: first?.at.toISOString() ?? null }];
    }),
  }));
}
