import { DRILLS, nextLevel, ticketFor, type DrillId, type Level, type Ticket } from '@dusk-wren/core/drill';
import type { PersonStamp } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import { chance, seedFrom, type Chance } from '@dusk-wren/core/simulation';
import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { AttemptRow, DrillTaskRow, WitnessedRow, WorkRuleRow } from '../database/drill-models';
import { JobRow } from '../database/models';

/** Six people learn differently: days ago of each exercise, and how sure they were of it, 0 to 1. */
interface Habit {
  readonly name: string;
  readonly subjects: readonly DrillId[];
  readonly daysAgo: readonly number[];
  readonly sure: number;
}

const DAY = 24 * 60 * 60 * 1000;

const HABITS: readonly Habit[] = [
  // The old hand: everything, and lately.
  {
    name: 'Ines Okoro',
    subjects: [
      'comes-off-next',
      'make-it-dead',
      'read-the-ring',
      'straight-or-bent',
      'bolt-it',
      'in-the-bag',
    ],
    daysAgo: [96, 61, 40, 24, 11, 3],
    sure: 0.99,
  },
  {
    name: 'Ines Okoro',
    subjects: ['fit-or-not', 'which-screw'],
    daysAgo: [52, 38, 25, 14, 6],
    sure: 0.97,
  },
  // Relief valves, and little beside them.
  {
    name: 'Tam Brackley',
    subjects: ['set-it', 'comes-off-next'],
    daysAgo: [44, 30, 19, 12, 7, 2],
    sure: 1,
  },
  { name: 'Tam Brackley', subjects: ['straight-or-bent'], daysAgo: [9, 4], sure: 0.6 },
  // In his first months.
  {
    name: 'Jory Velde',
    subjects: ['comes-off-next', 'make-it-dead', 'read-the-ring', 'set-it'],
    daysAgo: [12, 9, 6, 3, 1],
    sure: 0.8,
  },
  { name: 'Jory Velde', subjects: ['where-is-the-fault', 'bolt-it'], daysAgo: [5, 2], sure: 0.55 },
  // Good once, and away from it since.
  {
    name: 'Wen Aldous',
    subjects: ['straight-or-bent', 'read-the-ring', 'bolt-it', 'fit-or-not'],
    daysAgo: [420, 415, 409, 402, 398],
    sure: 0.96,
  },
  {
    name: 'Noor Castellane',
    subjects: ['read-the-ring', 'fit-or-not'],
    daysAgo: [33, 21, 13, 8, 4],
    sure: 1,
  },
  {
    name: 'Petra Lundholm',
    subjects: ['where-is-the-fault', 'make-it-dead'],
    daysAgo: [70, 45, 20],
    sure: 0.95,
  },
];

/** Moves of somebody who is so sure: some are forgotten; the last, which ends it, never is. */
const movesOf = (best: readonly unknown[], sure: number, dice: Chance): unknown[] =>
  best.filter((_, i) => i === best.length - 1 || dice.uniform() < sure);

function attempt(
  { name, sure }: Habit,
  drill: DrillId,
  level: Level,
  days: number,
  person: string,
  now: number,
) {
  const seed = seedFrom(`${name} ${drill} ${days}`);
  const dice = chance(seed);
  const ticket = ticketFor(drill, level, seed);
  const sitting = must(DRILLS[drill].sit(ticket));
  const moves = movesOf(sitting.best, sure, dice);
  const { score, lines } = must(sitting.mark(moves, 0));
  return {
    ...{ id: randomUUID(), personId: person, drill, level, construction: ticket.construction },
    ...{ ticket: JSON.stringify(ticket), moves: JSON.stringify(moves), hints: 0, score },
    ...{ marks: JSON.stringify(lines), seconds: 40 + Math.round(200 * dice.uniform()), taskId: null },
    at: new Date(now - days * DAY - Math.round(3 * 60 * 60 * 1000 * dice.uniform())),
  };
}

/** The fault that FV-210 had, planted by its lead for whoever was not there. */
const PLANTED: Ticket = {
  ...ticketFor('where-is-the-fault', 2, 41, 'control-globe-double-seat'),
  planted: { fault: 'packing too tight', symptom: 'half travel' },
};

/** Drills of the shop's people, a fault that waits for two of them, and what relief work asks for. */
export async function seedDrills(
  people: readonly PersonStamp[],
  lead: PersonStamp,
  now: number,
): Promise<void> {
  const idOf = (name: string) => people.find((person) => person.name === name)?.id ?? lead.id;
  const rows = HABITS.flatMap((habit) =>
    habit.subjects.flatMap((drill) => {
      const done: ReturnType<typeof attempt>[] = [];
      for (const days of habit.daysAgo)
        done.push(attempt(habit, drill, nextLevel(done), days, idOf(habit.name), now));
      return done;
    }),
  );
  await AttemptRow.bulkCreate(rows);
  await DrillTaskRow.create({
    ...{ id: randomUUID(), ticket: JSON.stringify(PLANTED), sentBy: lead.name },
    note: 'Half travel at full signal, as we had it last week: what would you look at first?',
    people: JSON.stringify([idOf('Jory Velde'), idOf('Wen Aldous')]),
    at: new Date(now - DAY),
  });
  await WorkRuleRow.create({ work: 'relief', drills: JSON.stringify(['set-it']), witnessed: true });
  const watched = await JobRow.findOne({
    where: { tag: { [Op.like]: 'RV-%' } },
    order: [['openedAt', 'DESC']],
  });
  if (watched)
    await WitnessedRow.create({
      ...{ personId: idOf('Tam Brackley'), work: 'relief', jobId: watched.id, witnessedBy: lead.name },
      at: new Date(now - 9 * DAY),
    });
}
