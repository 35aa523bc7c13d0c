import { firmUntil } from '../instance';
import { stretches } from '../open-time';
import type { Id, Placing, Week } from '../week';

/** A job that ends later, or is late by less: minutes. */
export interface Shifted {
  readonly job: Id;
  readonly minutes: number;
}

/** What another plan does to the jobs of a week. */
export interface Difference {
  /** Later than they may be by so much more. */
  readonly later: readonly Shifted[];
  /** Late by so much less. */
  readonly sooner: readonly Shifted[];
  /** Operations that were to begin while people go by the plan, and begin at another minute. */
  readonly moved: readonly { readonly job: Id; readonly id: Id }[];
}

/** How late each job with a date is, by its last operation. */
export function latenessOf({ jobs }: Week, plan: readonly Placing[]): Map<Id, number> {
  const ends = new Map<Id, number>();
  for (const { job, end } of plan) ends.set(job, Math.max(end, ends.get(job) ?? end));
  return new Map(
    jobs.map(({ id, due }) => [id, due === undefined ? 0 : Math.max(0, (ends.get(id) ?? due) - due)]),
  );
}

export function differenceOf(week: Week, before: readonly Placing[], after: readonly Placing[]): Difference {
  const until = firmUntil(week.people.map(({ open }) => ({ open: open && stretches(open) })));
  const [was, is] = [latenessOf(week, before), latenessOf(week, after)];
  const by = week.jobs.map(({ id }) => ({ job: id, minutes: (is.get(id) ?? 0) - (was.get(id) ?? 0) }));
  const name = ({ job, id }: { job: Id; id: Id }) => JSON.stringify([job, id]);
  const starts = new Map(before.map((each) => [name(each), each.start]));
  return {
    later: by.filter(({ minutes }) => minutes > 0),
    sooner: by.flatMap(({ job, minutes }) => (minutes < 0 ? [{ job, minutes: -minutes }] : [])),
    moved: after.flatMap((each) => {
      const start = starts.get(name(each));
      return start === undefined || start === each.start || start >= until
        ? []
        : [{ job: each.job, id: each.id }];
    }),
  };
}
