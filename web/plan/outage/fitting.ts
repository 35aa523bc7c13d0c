import type { OutageValve, OutageView } from '@dusk-wren/contract/outages';
import { weekView, type PlacingView, type WeekView, placingText } from '@dusk-wren/contract/week';
import {
  factorFor,
  findingOfWeek,
  jobInWeek,
  midnightOf,
  type Asked,
  type Unfit,
} from '@dusk-wren/core/schedule';
import type { Remote } from 'comlink';
import { call } from '../../api/client';
import type { WeekPlanner } from '../../workers/week.worker';
import { sayAt } from '../words';

const DAY = 24 * 60;

/** What becomes of the valves of an outage beside the week as it stands. */
export interface Fitting {
  readonly week: WeekView;
  /** In minutes of that week. */
  readonly window: { readonly from: number; readonly to: number };
  readonly fits: readonly OutageValve[];
  readonly before: readonly { readonly valve: OutageValve; readonly spare: OutageValve['spares'][number] }[];
  readonly left: readonly { readonly valve: OutageValve; readonly why: string }[];
  /** A job is open on them. */
  readonly open: readonly OutageValve[];
  readonly plan: readonly PlacingView[];
  /** Work of each, in minutes, as it is planned. */
  readonly minutes: ReadonlyMap<string, number>;
}

/** Tries what fits: those that are left out by hand are asked for no more. */
export async function fitting(
  planner: Remote<WeekPlanner>,
  { valves, from, to }: OutageView,
  leftOut: ReadonlySet<string>,
): Promise<Fitting> {
  const week = await call('/week', weekView);
  const window = { from: Math.max(0, midnightOf(week.days, from)), to: midnightOf(week.days, to) + DAY };
  const asked = valves.flatMap((valve): Asked[] =>
    valve.open !== null || leftOut.has(valve.id)
      ? []
      : [{ job: jobOf(week, valve), spares: valve.spares.map((spare) => spare.id) }],
  );
  const fitted = await planner.fitted(week.week, week.plan, asked, window);
  const valveOf = new Map<string, OutageValve>(valves.map((valve) => [valve.id, valve]));
  const found = (ids: readonly (string | number)[]) => ids.flatMap((id) => valveOf.get(String(id)) ?? []);
  return {
    ...{ week, window },
    fits: found(fitted.fits),
    before: fitted.before.flatMap(({ id, spare }) => {
      const [valve] = found([id]);
      const own = valve?.spares.find((each) => each.id === spare);
      return valve && own ? [{ valve, spare: own }] : [];
    }),
    left: fitted.left.flatMap((each) => {
      const [valve] = found([each.id]);
      return valve ? [{ valve, why: sayWhy(week, window.to, each, valves) }] : [];
    }),
    open: valves.filter(({ open }) => open !== null),
    plan: fitted.plan.map(placingText),
    minutes: new Map(asked.map(({ job }) => [String(job.id), workOf(job)])),
  };
}

const jobOf = ({ week, days, learned }: WeekView, { id, construction, operations }: OutageValve) =>
  jobInWeek(
    {
      ...{ id, hard: true, weight: 1, operations },
      factor: (kind) => factorFor(learned, construction, kind),
    },
    findingOfWeek(week),
    days,
  );

/** Waits are no work: nobody and no place is at them. */
const workOf = ({ operations }: Asked['job']): number =>
  operations.reduce(
    (sum, { minutes, place, skill, person }) =>
      (place ?? skill ?? person) === undefined ? sum : sum + minutes,
    0,
  );

/** Why one stays out: `it would be over Wed 20 Jan 11:00`, or which of the others would not be in time. */
export function sayWhy(
  week: Pick<WeekView, 'from' | 'zone' | 'jobs'>,
  end: number,
  { over, others }: Unfit,
  valves: readonly Pick<OutageValve, 'id' | 'tag'>[],
): string {
  const tagOf = (id: string | number) =>
    [...week.jobs, ...valves].find((each) => each.id === id)?.tag ?? String(id);
  const late = others.map(tagOf).join(', ');
  if (over > 0) return `it would be over ${sayAt(week, end + over)}`;
  return late === ''
    ? 'nobody can do it, or no door is open long enough'
    : `${late} would not be over in time for it`;
}
