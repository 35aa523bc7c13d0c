import { chance } from '../../simulation';
import { CONSTRUCTION_IDS, type ConstructionId } from '../../valve';
import type { DrillId, Level } from '../frame/ids';
import { valveOfDrill, type Ticket } from '../frame/ticket';
import { DRILLS } from '../kinds';
import type { Done } from './attempt';
import { skillsOf, type Skill } from './skill';

/** A round is about so long, minutes. */
export const ROUND_MINUTES = 10;
/** Subjects that nobody has begun yet, begun in one day. */
const NEW_A_DAY = 2;

/** Why a subject is to be practised today. */
export type DueBecause = 'due again' | 'new';
export interface DueToday {
  readonly drill: DrillId;
  readonly because: DueBecause;
  readonly skill: Skill;
}

/** The longest due first, then what is new, in the order in which it is learnt; `dayEnds` is the end of today. */
export function dueToday(skills: readonly Skill[], dayEnds: Date, begunToday = 0): DueToday[] {
  const again = skills
    .filter(({ due }) => due !== undefined && due.getTime() <= dayEnds.getTime())
    .sort((a, b) => (a.due?.getTime() ?? 0) - (b.due?.getTime() ?? 0));
  const fresh = skills.filter(({ standing }) => standing === 'not begun');
  return [
    ...again.map((skill): DueToday => ({ drill: skill.drill, because: 'due again', skill })),
    ...fresh
      .slice(0, Math.max(0, NEW_A_DAY - begunToday))
      .map((skill): DueToday => ({ drill: skill.drill, because: 'new', skill })),
  ];
}

/** Constructions that a kind makes sense for. */
const sensible = new Map<DrillId, readonly ConstructionId[]>();
export function constructionsFor(drill: DrillId): readonly ConstructionId[] {
  const known = sensible.get(drill);
  if (known) return known;
  const fresh = CONSTRUCTION_IDS.filter((construction) => DRILLS[drill].of(valveOfDrill({ construction })));
  sensible.set(drill, fresh);
  return fresh;
}

/** A fresh exercise of a kind. The seed decides which; a construction that is not asked for is drawn by it too. */
export function ticketFor(drill: DrillId, level: Level, seed: number, construction?: ConstructionId): Ticket {
  const among = constructionsFor(drill);
  const drawn = among[Math.floor(chance(seed).uniform() * among.length)] ?? among[0];
  const on = construction ?? drawn;
  if (on === undefined) throw new Error(`no construction for ${drill}`);
  return { drill, seed, level, construction: on };
}

/** Ten minutes of exercises: what is due first, then what sits least surely. */
export function roundOf(done: readonly Done[], now: Date, dayEnds: Date, seed: number): Ticket[] {
  const skills = skillsOf(done, now);
  const due = dueToday(skills, dayEnds).map(({ drill }) => drill);
  const rest = skills
    .filter(({ drill, standing }) => standing !== 'not begun' && !due.includes(drill))
    .sort((a, b) => a.sits * a.mean - b.sits * b.mean)
    .map(({ drill }) => drill);
  const dice = chance(seed);
  const round: Ticket[] = [];
  let minutes = 0;
  for (const drill of [...due, ...rest]) {
    const takes = DRILLS[drill].minutes;
    if (minutes + takes > ROUND_MINUTES && round.length > 0) continue;
    const level = skills.find((skill) => skill.drill === drill)?.level ?? 1;
    round.push(ticketFor(drill, level, Math.floor(dice.uniform() * 0xffffffff)));
    minutes += takes;
  }
  return round;
}
