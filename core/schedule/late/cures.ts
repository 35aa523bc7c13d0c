import { placingOf } from '../answer';
import { instant } from '../engine/instant';
import { instanceOf } from '../instance';
import type { Budget } from '../engine/improve';
import { grouped } from '../grouped';
import { DAY } from '../score';
import { differenceOf, latenessOf, type Shifted } from './difference';
import type { LateJob } from './why-late';
import type { Placed } from '../placed';
import type { Id, Placing, Week } from '../week';

/** Hours that somebody could stay for: of one evening. */
export interface Evening {
  readonly person: Id;
  readonly from: number;
  readonly to: number;
}

/** What can be done about a week besides the order of its work. */
export interface Means {
  readonly evenings: readonly Evening[];
  /** Waits that money shortens: parts on order, with the price of a day where it was asked. */
  readonly parts: readonly { readonly job: Id; readonly id: Id; readonly perDay?: number }[];
  /** Of an hour of overtime. */
  readonly rate: number;
}

export type Change =
  | { readonly kind: 'part sooner'; readonly job: Id; readonly id: Id; readonly days: number }
  | { readonly kind: 'overtime'; readonly person: Id; readonly from: number; readonly to: number }
  /** A place that work waits for goes on evening after evening, with one who can work there. */
  | {
      readonly kind: 'second shift';
      readonly place: Id;
      readonly person: Id;
      readonly evenings: readonly (readonly [number, number])[];
    }
  | {
      readonly kind: 'goes first';
      readonly job: Id;
      readonly id: Id;
      readonly before: Id;
      readonly start: number;
    };

/** A change that was tried: what it does to the job, to the others, and what it costs. */
export interface Cure {
  readonly change: Change;
  /** The week with it. */
  readonly week: Week;
  readonly plan: readonly Placing[];
  readonly lateBefore: number;
  readonly lateAfter: number;
  /** Jobs that are later than before by it, by how much. */
  readonly made: readonly Shifted[];
  readonly price: number;
  /** Operations of others that begin at another time. */
  readonly moved: number;
}

const DAYS_SOONER = [1, 2, 4];
const SHOWN = 3;
/** Less of the lateness than this is not worth an evening. */
const WORTH = 0.1;
/** As many as are tried in earnest, and how much shorter the others are looked at. */
const TRIED = 10;
const QUICKER = 6;

/**
 * The three cheapest cures of a late job, each tried by planning the week with it: only those that make it less late.
 * What cures it wholly comes first, then the cheaper, then what moves the fewest others (handbook part 7, section 2).
 */
export function curesOf(
  week: Week,
  stands: readonly Placed[],
  late: LateJob,
  means: Means,
  budget: Budget,
): Cure[] {
  const before = stands.map(placingOf);
  const triedWith = (change: Change, puts: number): Cure[] => {
    const changed = withChange(week, change);
    const instance = instanceOf(changed, before);
    if (!instance.ok) return [];
    const tried = instant(instance.value, { ...budget, puts });
    if (!tried.ok) return [];
    const plan = tried.value.plan.map(placingOf);
    const { later, moved } = differenceOf(changed, before, plan);
    return [
      {
        change,
        week: changed,
        plan,
        lateBefore: late.minutes,
        lateAfter: latenessOf(changed, plan).get(late.job.id) ?? 0,
        made: later,
        price: priceOf(change, means),
        moved: moved.filter(({ job }) => job !== late.job.id).length,
      },
    ];
  };
  // All are looked at quickly; those that promise the most are tried in earnest.
  const looked = changesFor(late, means, stands).flatMap((change) =>
    triedWith(change, budget.puts / QUICKER),
  );
  return looked
    .toSorted(cheapestFirst)
    .slice(0, TRIED)
    .flatMap(({ change }) => triedWith(change, budget.puts))
    .filter(({ lateAfter, lateBefore }) => lateAfter <= (1 - WORTH) * lateBefore)
    .toSorted(cheapestFirst)
    .slice(0, SHOWN);
}

/** Those that cure it wholly first, then those that make nobody else late, the cheaper, and what moves the fewest. */
const cheapestFirst = (a: Cure, b: Cure): number =>
  Number(a.lateAfter > 0) - Number(b.lateAfter > 0) ||
  a.made.length - b.made.length ||
  a.price - b.price ||
  a.moved - b.moved;

/** Whatever stands on its chain could be otherwise: who it waited for stays longer, a part comes sooner, it goes first. */
function changesFor({ job, chain }: LateJob, { evenings, parts }: Means, plan: readonly Placed[]): Change[] {
  const ends = new Map(plan.map(({ task, end }) => [task, end]));
  const until = chain[0]?.placed.end ?? 0;
  const people = new Set(chain.flatMap(({ placed }) => placed.way.person?.id ?? []));
  const overtime = evenings
    .filter(({ person, from }) => people.has(person) && from < until)
    .map((evening): Change => ({ kind: 'overtime', ...evening }));
  const sooner = parts
    .filter((part) => chain.some(({ placed: { task } }) => task.job.id === part.job && task.id === part.id))
    .flatMap(({ job: own, id }) =>
      DAYS_SOONER.map((days): Change => ({ kind: 'part sooner', job: own, id, days })),
    );
  const first = chain.flatMap(({ placed, waitedFor }): Change[] => {
    if (waitedFor.kind !== 'taken' || placed.task.job !== job || waitedFor.on.task.job === job) return [];
    const ready = Math.max(
      placed.task.release,
      ...placed.task.before.map(({ task, lag }) => (ends.get(task) ?? 0) + lag),
    );
    const start = Math.max(ready, waitedFor.on.start);
    return [{ kind: 'goes first', job: job.id, id: placed.task.id, before: waitedFor.on.task.job.id, start }];
  });
  return [...sooner, ...overtime, ...secondShifts(chain, evenings, until), ...first];
}

/** One evening is overtime; from two on it is a shift. */
const LEAST_EVENINGS = 2;

/** Whoever can work where the most is waited for could go on there, as many evenings as there are. */
function secondShifts(chain: LateJob['chain'], evenings: readonly Evening[], until: number): Change[] {
  const waited = chain.filter(({ waitedFor }) => waitedFor.kind === 'taken' && waitedFor.what === 'place');
  const placesOf = grouped(waited, ({ placed }) => placed.way.unit?.id);
  const mostFirst = [...placesOf].toSorted(([, a], [, b]) => b.length - a.length);
  const shifts = new Map<Id, Change>();
  for (const [place, links] of mostFirst) {
    if (place === undefined) continue;
    const able = links.flatMap(({ placed }) => placed.task.ways.flatMap((way) => way.person?.id ?? []));
    for (const person of new Set(able)) {
      if (shifts.has(person)) continue;
      const own: [number, number][] = [];
      for (const { person: who, from, to } of evenings)
        if (who === person && from < until && from >= (own.at(-1)?.[1] ?? 0)) own.push([from, to]);
      if (own.length >= LEAST_EVENINGS)
        shifts.set(person, { kind: 'second shift', place, person, evenings: own });
    }
  }
  return [...shifts.values()];
}

function withChange(week: Week, change: Change): Week {
  switch (change.kind) {
    case 'overtime':
      return openLonger(week, change.person, [[change.from, change.to]]);
    case 'second shift':
      return openLonger(week, change.person, change.evenings);
    case 'part sooner':
      return {
        ...week,
        jobs: week.jobs.map((job) =>
          job.id === change.job
            ? {
                ...job,
                operations: job.operations.map((operation) =>
                  operation.id === change.id
                    ? { ...operation, minutes: Math.max(0, operation.minutes - change.days * DAY) }
                    : operation,
                ),
              }
            : job,
        ),
      };
    case 'goes first':
      return { ...week, pinned: [...week.pinned, { job: change.job, id: change.id, start: change.start }] };
  }
}

/** Somebody stays, and finds every place open: as the shop's own hours have it. */
function openLonger(week: Week, stays: Id, evenings: readonly (readonly [number, number])[]): Week {
  const longer = <T extends { readonly open?: [number, number][] | undefined }>(each: T): T =>
    each.open
      ? { ...each, open: [...each.open, ...evenings.map(([from, to]): [number, number] => [from, to])] }
      : each;
  return {
    ...week,
    people: week.people.map((person) => (person.id === stays ? longer(person) : person)),
    places: week.places.map(longer),
  };
}

function priceOf(change: Change, { rate, parts }: Means): number {
  switch (change.kind) {
    case 'overtime':
      return ((change.to - change.from) / 60) * rate;
    case 'second shift':
      return change.evenings.reduce((sum, [from, to]) => sum + ((to - from) / 60) * rate, 0);
    case 'part sooner':
      return change.days * (parts.find(({ job, id }) => job === change.job && id === change.id)?.perDay ?? 0);
    case 'goes first':
      return 0;
  }
}
