import { sayKind } from '@dusk-wren/contract/planned';
import type { PlacingView, WeekView } from '@dusk-wren/contract/week';
import { minuteIn } from '@dusk-wren/core/quantity';
import { momentAt } from '../week/draft';
import { toCalendar, toTimetable } from './calendar';
import { toCsv } from './csv';

const jobOf = (view: WeekView, { job }: PlacingView) => view.jobs.find(({ id }) => id === job);

/** What somebody does, or what is done somewhere, as an iCalendar file. */
export function timetable(
  view: WeekView,
  of: { readonly person: string } | { readonly place: string },
  now: Date,
): string {
  const own = view.plan.filter((each) =>
    'person' in of ? each.person === of.person : each.place === of.place,
  );
  const name = 'person' in of ? (view.people.find(({ id }) => id === of.person)?.name ?? 'Plan') : of.place;
  const from = new Date(view.from);
  return toTimetable(
    name,
    own.map((placing) => {
      const job = jobOf(view, placing);
      const kind = sayKind(job?.kinds[placing.id] ?? placing.id);
      const who = view.people.find(({ id }) => id === placing.person)?.name;
      return {
        uid: `${placing.job}-${placing.id.replaceAll(/\W+/g, '-')}@dusk-wren`,
        start: momentAt(from, placing.start),
        end: momentAt(from, placing.end),
        title: `${job?.tag ?? ''} ${kind}`,
        body: [job ? `${job.customer}, ${job.location}` : '', who ?? ''].filter(Boolean).join('\n'),
        place: placing.place ?? '',
      };
    }),
    now,
  );
}

/** The days on which open jobs are wanted. */
export const duesCalendar = (view: WeekView, now: Date): string =>
  toCalendar(
    'Jobs due',
    view.jobs.flatMap(({ id, tag, due, customer, location }) =>
      due === null
        ? []
        : [
            {
              uid: `${id}-due@dusk-wren`,
              day: due,
              title: `${tag}: wanted`,
              body: `${customer}, ${location}`,
              remindDays: 1,
            },
          ],
    ),
    now,
  );

const HEADING = ['start', 'end', 'person', 'place', 'tag', 'what', 'due', 'late'] as const;

/** The plan, a line an operation, by start. */
export function weekCsv(view: WeekView): string {
  const clock = (minute: number) => minuteIn(momentAt(new Date(view.from), minute).toISOString(), view.zone);
  const ends = new Map<string, number>();
  for (const { job, end } of view.plan) ends.set(job, Math.max(end, ends.get(job) ?? end));
  return toCsv(
    HEADING,
    view.plan
      .toSorted((a, b) => a.start - b.start)
      .map((placing) => {
        const job = jobOf(view, placing);
        const due = view.week.jobs.find(({ id }) => id === placing.job)?.due;
        const isLate = due !== undefined && (ends.get(placing.job) ?? 0) > due;
        return [
          ...[clock(placing.start), clock(placing.end)],
          ...[view.people.find(({ id }) => id === placing.person)?.name ?? '', placing.place ?? ''],
          ...[job?.tag ?? '', sayKind(job?.kinds[placing.id] ?? placing.id)],
          ...[job?.due ?? '', isLate ? 'late' : ''],
        ];
      }),
  );
}
