import { sayKind } from '@dusk-wren/contract/planned';
import type { PlacingView, WeekView } from '@dusk-wren/contract/week';
import { minuteIn } from '@dusk-wren/core/quantity';
import type { DaySheet } from '../documents/day-sheet-pdf';
import { momentAt } from './draft';

const DAY = 24 * 60;

/** What each does on a day, or one of them; who has nothing is on no sheet, unless asked for by name. */
export function daySheets(view: WeekView, day: string, person: string | undefined): DaySheet[] {
  const midnight = view.days.find((each) => each.day === day)?.midnight ?? 0;
  return view.people
    .filter(({ id }) => person === undefined || id === person)
    .map(({ id, name }) => ({
      name,
      lines: view.plan
        .filter((each) => each.person === id && each.start < midnight + DAY && each.end > midnight)
        .toSorted((a, b) => a.start - b.start)
        .map((placing) => lineOf(view, placing)),
    }))
    .filter(({ lines }) => person !== undefined || lines.length > 0);
}

function lineOf(view: WeekView, { job, id, place, start, end }: PlacingView): DaySheet['lines'][number] {
  const own = view.jobs.find((each) => each.id === job);
  const clock = (minute: number) =>
    minuteIn(momentAt(new Date(view.from), minute).toISOString(), view.zone).slice(-5);
  return {
    from: clock(start),
    to: clock(end),
    tag: own?.tag ?? '',
    place: own ? `${own.customer}, ${own.location}` : '',
    what: sayKind(own?.kinds[id] ?? id),
    where: place ?? '',
  };
}
