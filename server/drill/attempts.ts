import type { AttemptDone, AttemptSent, SkillView } from '@dusk-wren/contract/drills';
import { attemptDone } from '@dusk-wren/contract/drills';
import { wordProblem } from '@dusk-wren/contract/wording';
import { DRILLS, hintsAt, skillsOf, type Done, type Marks, type Skill } from '@dusk-wren/core/drill';
import type { PersonStamp } from '@dusk-wren/core/job';
import { outOfRange, type Result } from '@dusk-wren/core/problem';
import { Op } from 'sequelize';
import { AttemptRow } from '../database/drill-models';

/** So many of each person's count: who has done more has done the older ones long ago. */
const MOST_KEPT = 2000;
/** A device's clock may be ahead by so much. */
const AHEAD = 60_000;

/** What an exercise came to, marked again here: a device says what was done, never what it is worth. */
function marked({ ticket, moves, hints }: AttemptSent): Result<Marks> {
  const most = hintsAt(ticket.level);
  if (hints > most) return outOfRange('hints', String(hints), `at most ${most}`, 'this level has no more');
  const sitting = DRILLS[ticket.drill].sit(ticket);
  return sitting.ok ? sitting.value.mark(moves, hints) : sitting;
}

/** Known by heart it teaches nothing more: an exercise counts once for whoever does it. */
const isDoneBefore = async ({ ticket }: AttemptSent, { id }: PersonStamp): Promise<boolean> =>
  (await AttemptRow.count({ where: { personId: id, ticket: JSON.stringify(ticket) } })) > 0;

/** Keeps exercises that were done, each once; says of each what it came to, or why it cannot be kept. */
export async function keepAttempts(attempts: readonly AttemptSent[], by: PersonStamp, now: Date) {
  const kept = [];
  for (const attempt of attempts) {
    const { id, ticket, moves, hints, seconds, at, task } = attempt;
    const before = await AttemptRow.findByPk(id, { attributes: ['score', 'personId'] });
    if (before) {
      const own = before.personId === by.id;
      kept.push({ id, score: own ? before.score : null, refused: own ? null : 'Somebody else did it.' });
      continue;
    }
    if (await isDoneBefore(attempt, by)) {
      kept.push({ id, score: null, refused: 'This very exercise was done before: another like it counts.' });
      continue;
    }
    const marks = marked(attempt);
    if (!marks.ok) {
      kept.push({ id, score: null, refused: wordProblem(marks.problem) });
      continue;
    }
    const { score, lines } = marks.value;
    await AttemptRow.bulkCreate(
      [
        {
          ...{ id, hints, score, seconds, personId: by.id },
          ...{ drill: ticket.drill, level: ticket.level, construction: ticket.construction },
          ticket: JSON.stringify(ticket),
          moves: JSON.stringify(moves),
          marks: JSON.stringify(lines),
          at: new Date(Math.min(Date.parse(at), now.getTime() + AHEAD)),
          taskId: task ?? null,
        },
      ],
      // Sent twice at once it is kept once.
      { ignoreDuplicates: true },
    );
    kept.push({ id, score, refused: null });
  }
  return { kept };
}

const SHOWN = [
  'id',
  'personId',
  'drill',
  'level',
  'construction',
  'score',
  'hints',
  'seconds',
  'at',
  'taskId',
];

/** What somebody did, oldest first. */
export async function attemptsOf(person: string): Promise<AttemptDone[]> {
  const rows = await AttemptRow.findAll({
    where: { personId: person },
    attributes: SHOWN,
    order: [['at', 'DESC']],
    limit: MOST_KEPT,
  });
  return rows.reverse().map(doneOf);
}

const doneOf = ({ id, drill, level, construction, score, hints, seconds, at }: AttemptRow): AttemptDone =>
  attemptDone.parse({ id, drill, level, construction, score, hints, seconds, at: at.toISOString() });

/** The same of several, by person; of all subjects, or of some. */
export async function attemptsByPerson(
  people: readonly string[],
  drills?: readonly string[],
): Promise<ReadonlyMap<string, readonly Done[]>> {
  const rows = await AttemptRow.findAll({
    where: {
      personId: { [Op.in]: [...people] },
      ...(drills ? { drill: { [Op.in]: [...drills] } } : {}),
    },
    attributes: SHOWN,
    order: [['at', 'ASC']],
  });
  const by = new Map<string, Done[]>();
  for (const row of rows) {
    const { drill, level, score } = doneOf(row);
    const own = by.get(row.personId);
    const done = { drill, level, score, at: row.at };
    if (own) own.push(done);
    else by.set(row.personId, [done]);
  }
  return by;
}

export const skillViews = (done: readonly Done[], now: Date): SkillView[] => skillsOf(done, now).map(viewOf);

const viewOf = ({ drill, standing, mean, sits, level, done, last, fades }: Skill): SkillView => ({
  ...{ drill, standing, mean, sits, level, done },
  last: last?.toISOString() ?? null,
  fades: fades?.toISOString() ?? null,
});
