import type { PlacingView, WeekView } from '@dusk-wren/contract/week';
import { differenceOf } from '@dusk-wren/core/schedule';
import { minuteIn } from '@dusk-wren/core/quantity';
import { sayMinutes } from '../parts/dates';
import { sayKind } from '@dusk-wren/contract/planned';

const WEEK_MINUTES = 6 * 24 * 60;

/** `Tue 09:30`, with its date where that is not in the days that come. */
export function sayAt({ from, zone }: Pick<WeekView, 'from' | 'zone'>, minute: number): string {
  const moment = new Date(Date.parse(from) + minute * 60_000).toISOString();
  const [weekday = '', date, month, , clock = ''] = minuteIn(moment, zone).split(' ');
  return Math.abs(minute) < WEEK_MINUTES
    ? `${weekday} ${clock}`
    : `${weekday} ${date ?? ''} ${month ?? ''} ${clock}`;
}

/** The day alone: `Tue 1 Dec`. */
export function sayDayAt({ from, zone }: Pick<WeekView, 'from' | 'zone'>, minute: number): string {
  const moment = new Date(Date.parse(from) + minute * 60_000).toISOString();
  return minuteIn(moment, zone).split(' ').slice(0, 3).join(' ');
}

/** So far from what is proved that a share says nothing. */
const TELLS_NOTHING = 0.5;

/** How good the plan is, in words. */
export function sayQuality({
  plan,
  objective,
  gap,
}: {
  readonly plan: readonly PlacingView[];
  readonly objective: number;
  readonly gap: number;
}): string {
  if (plan.length === 0) return 'There is no plan.';
  if (gap === 0) return objective === 0 ? 'Everybody is on time.' : 'No plan can be better.';
  if (gap > TELLS_NOTHING) return 'Not proved yet: a better one may be there.';
  return `Within ${Math.max(1, Math.round(gap * 100))} % of the best possible, as far as is proved.`;
}

const endsOf = (plan: readonly PlacingView[]): Map<string, number> => {
  const ends = new Map<string, number>();
  for (const { job, end } of plan) ends.set(job, Math.max(end, ends.get(job) ?? end));
  return ends;
};

/** As much later or sooner as anybody cares to hear of. */
const WORTH_SAYING = 60;

/** What another plan does to its jobs, a line each: who becomes late by it, who is late by less. */
export function sayDifference(
  view: Pick<WeekView, 'week' | 'jobs'>,
  before: readonly PlacingView[],
  after: readonly PlacingView[],
): string[] {
  const tag = (job: string | number) => view.jobs.find(({ id }) => id === job)?.tag ?? String(job);
  const { later, sooner, moved } = differenceOf(view.week, before, after);
  const touched = new Set(moved.map(({ job }) => job)).size;
  return [
    ...later.map(({ job, minutes }) => `${tag(job)} becomes later than its date by ${sayMinutes(minutes)}`),
    ...sooner.map(({ job, minutes }) => `${tag(job)} is late by ${sayMinutes(minutes)} less`),
    later.length + sooner.length === 0 ? 'Nobody becomes late by it' : '',
    moved.length === 0
      ? ''
      : `${moved.length === 1 ? '1 piece' : `${moved.length} pieces`} of the next day, of ${touched === 1 ? '1 job' : `${touched} jobs`}, move`,
  ].filter((line) => line !== '');
}

/** What changed since the morning, a line a job: `HV-2214 is now ready Tue 1 Dec and not Mon 30 Nov: lathe`. */
export function sayChanges(view: Pick<WeekView, 'from' | 'zone' | 'jobs' | 'plan' | 'morning'>): string[] {
  const [was, is] = [endsOf(view.morning), endsOf(view.plan)];
  const known = new Set(view.morning.map(({ job, id }) => `${job} ${id}`));
  return view.jobs.flatMap(({ id, tag, kinds }): string[] => {
    const [before, now] = [was.get(id), is.get(id)];
    if (now === undefined) return before === undefined ? [] : [`${tag} is out of the plan`];
    if (before === undefined) return [`${tag} is new: ready ${sayDayAt(view, now)}`];
    const by = now - before;
    if (Math.abs(by) < WORTH_SAYING) return [];
    const added = view.plan.filter((each) => each.job === id && !known.has(`${id} ${each.id}`));
    const why = [...new Set(added.map((each) => sayKind(kinds[each.id] ?? each.id)))].join(', ');
    const [to, from] = [sayDayAt(view, now), sayDayAt(view, before)];
    const words =
      to === from
        ? `${sayMinutes(Math.abs(by))} ${by > 0 ? 'later' : 'sooner'}, still ${to}`
        : `now ${to} and not ${from}`;
    return [`${tag} ${words}${why === '' ? '' : `: ${why}`}`];
  });
}
