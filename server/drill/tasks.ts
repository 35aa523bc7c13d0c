import { drillTask, type DrillTask, type TaskAsked } from '@dusk-wren/contract/drills';
import { DRILLS } from '@dusk-wren/core/drill';
import { personId } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { z } from 'zod';
import { AttemptRow, DrillTaskRow } from '../database/drill-models';
import { PersonRow } from '../database/models';
import { noted } from '../database/noted-change';
import type { Moment } from '../database/setup-changes';
import { Refusal } from '../refusal';

/** Tasks that are shown, the newest first. */
const MOST_SHOWN = 100;

export interface SentTask {
  readonly task: DrillTask;
  readonly people: readonly string[];
}

const stored = (text: string): unknown => JSON.parse(text);

const read = ({ id, ticket, note, people, sentBy, at }: DrillTaskRow): SentTask => ({
  task: drillTask.parse({ id, note, ticket: stored(ticket), by: sentBy, at: at.toISOString() }),
  people: z.array(z.string()).parse(JSON.parse(people)),
});

export async function sentTasks(): Promise<SentTask[]> {
  return (await DrillTaskRow.findAll({ order: [['at', 'DESC']], limit: MOST_SHOWN })).map(read);
}

/** What was sent to somebody and not done yet, the oldest first. */
export async function tasksFor(person: string): Promise<DrillTask[]> {
  const sent = (await sentTasks()).filter(({ people }) => people.includes(person)).reverse();
  const done = await AttemptRow.findAll({
    where: { personId: person, taskId: { [Op.in]: sent.map(({ task }) => task.id) } },
    attributes: ['taskId'],
  });
  const answered = new Set(done.map(({ taskId }) => taskId));
  return sent.flatMap(({ task }) => (answered.has(task.id) ? [] : [task]));
}

/** An exercise whose best answer has less than this cannot be solved. */
const FULL = 1 - 1e-9;

/** Sends an exercise to people. One that cannot be made, or solved, is refused before anybody has it. */
export async function sendTask(moment: Moment, { ticket, note, people }: TaskAsked): Promise<void> {
  const made = DRILLS[ticket.drill].sit(ticket);
  if (!made.ok) throw new Refusal(made.problem);
  const { best, mark } = made.value;
  const bestMarks = must(mark(best, 0));
  if (bestMarks.score < FULL)
    throw new Refusal({ code: 'drill.cannot-be-told', drill: DRILLS[ticket.drill].title });
  await noted(moment, 'training', async (transaction) => {
    const found = await PersonRow.findAll({
      where: { id: { [Op.in]: people }, leftAt: null },
      order: [['name', 'ASC']],
      transaction,
    });
    const [missing] = people.filter((id) => !found.some((person) => personId.parse(person.id) === id));
    if (missing !== undefined) throw new Refusal({ code: 'person.unknown', id: missing });
    await DrillTaskRow.create(
      {
        ...{ id: randomUUID(), note, sentBy: moment.by.name, at: moment.now },
        ticket: JSON.stringify(ticket),
        people: JSON.stringify(people),
      },
      { transaction },
    );
    return `“${DRILLS[ticket.drill].title}” sent to ${found.map(({ name }) => name).join(', ')}`;
  });
}

/** Takes a task back: what was done of it stays done. */
export const takeBackTask = (moment: Moment, id: string): Promise<void> =>
  noted(moment, 'training', async (transaction) => {
    const row = await DrillTaskRow.findByPk(id, { transaction });
    if (!row) throw new Refusal({ code: 'not-found', what: 'task' });
    await row.destroy({ transaction });
    return `“${DRILLS[read(row).task.ticket.drill].title}” of ${row.sentBy} taken back`;
  });
