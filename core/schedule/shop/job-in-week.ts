import { workingDaysFrom } from '../../plan';
import { DAY } from '../score';
import type { Id, WeekJob } from '../week';
import type { JobOperation, OperationKind, PlaceKind, WorkSkill } from './job-operations';

/** A day by the shop's clocks, as whoever knows the clocks gives it. */
export interface ShopDay {
  /** ISO date. */
  readonly day: string;
  /** Its midnight, in minutes from now. */
  readonly midnight: number;
}

/** A job that is open, or is to be, with what is left of it. */
export interface ShopJob {
  readonly id: Id;
  /** ISO date before which nothing of it is begun. */
  readonly release?: string;
  /** ISO date by which it is wanted: by the end of that day. */
  readonly due?: string;
  readonly hard: boolean;
  readonly weight: number;
  /** Done over planned of this kind of work on such a valve, as it came out; 1 where too little is known. */
  readonly factor: (kind: OperationKind) => number;
  readonly operations: readonly JobOperation[];
}

/** A shop as work finds it: where each kind is done, and whom it asks. */
export interface Finding {
  readonly placeFor: (kind: PlaceKind) => PlaceKind | undefined;
  readonly skillFor: (skill: WorkSkill) => WorkSkill;
  readonly people: ReadonlySet<Id>;
}

/** Working days after which a part is counted on where nobody knows how long it takes. */
const UNSAID_DAYS = 5;

/** Where work goes that has no place of its own here; what has no such either is planned without one. */
const STANDS_IN: Partial<Record<PlaceKind, PlaceKind>> = { lapping: 'bench', 'pop rig': 'test rig' };

interface There {
  readonly places: ReadonlySet<Id>;
  readonly skills: ReadonlySet<string>;
  readonly people: ReadonlySet<Id>;
}

export function findingIn({ places, skills, people }: There): Finding {
  return {
    people,
    placeFor: (kind) => {
      const other = STANDS_IN[kind];
      return places.has(kind) ? kind : other !== undefined && places.has(other) ? other : undefined;
    },
    // Who strips and who releases is asked always: without one of them there is no plan.
    skillFor: (skill) => (skill === 'inspector' || skills.has(skill) ? skill : 'bench'),
  };
}

/** A job of a shop as the week has it: its days in minutes from now, its work where this shop does it. */
export function jobInWeek(
  { id, release, due, hard, weight, factor, operations }: ShopJob,
  { placeFor, skillFor, people }: Finding,
  days: readonly ShopDay[],
): WeekJob {
  const whoDoes = ({ begunBy, skill }: JobOperation) =>
    begunBy !== undefined && people.has(begunBy)
      ? { person: begunBy }
      : skill === undefined
        ? {}
        : { skill: skillFor(skill) };
  return {
    ...{ id, hard, weight },
    release: release === undefined ? 0 : Math.max(0, midnightOf(days, release)),
    ...(due === undefined ? {} : { due: midnightOf(days, due) + DAY }),
    operations: operations.map((operation) => {
      const place = operation.place && placeFor(operation.place);
      return {
        ...{ id: operation.id, wait: operation.wait ?? 0, after: [...operation.after], done: operation.done },
        minutes: minutesOf(operation, factor, days),
        ...(place === undefined ? {} : { place }),
        ...whoDoes(operation),
      };
    }),
  };
}

function minutesOf(
  { kind, minutes, until, leadDays = UNSAID_DAYS }: JobOperation,
  factor: ShopJob['factor'],
  days: readonly ShopDay[],
): number {
  if (kind === 'part') {
    const [today] = days;
    const ordered = today && workingDaysFrom(`${today.day}T12:00:00Z`, leadDays);
    return Math.max(0, midnightOf(days, until ?? ordered ?? ''));
  }
  return Math.round(minutes * (kind === 'threadlocker' ? 1 : factor(kind)));
}

/** Midnight of a day that may lie outside of those given: by whole days from the first. */
export function midnightOf(days: readonly ShopDay[], day: string): number {
  const known = days.find((each) => each.day === day);
  if (known) return known.midnight;
  const [first] = days;
  if (!first) return 0;
  return first.midnight + Math.round((Date.parse(day) - Date.parse(first.day)) / 60_000);
}
