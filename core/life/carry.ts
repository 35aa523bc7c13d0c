import { NOTHING_CARRIED, type Carried, type Course, type CoursePoint, type JobId } from '../job';
import { monthsBetween } from '../quantity';
import type { Lived, LivedJob } from './lived';
import type { Measure } from './measures';

/** What a valve brings, one more job behind it. */
export function carry(so: Carried, job: JobId, lived: Lived): Carried {
  const of = { job, at: lived.signed };
  return {
    figures: renewed(
      so.figures,
      lived.figures.map((each) => ({ ...each, ...of })),
    ).slice(-MOST_FIGURES),
    words: renewed(
      so.words,
      lived.words.map((each) => ({ ...each, ...of })),
    ).slice(-MOST_WORDS),
    ...strokeAfter(so, of, lived),
    found: [...so.found, ...(lived.asFound ? [{ ...of, found: lived.asFound.found }] : [])].slice(-MOST),
    months: Math.max(1, monthsBetween(lived.signed, lived.nextDue)),
    courses: coursesAfter(so.courses, of, lived).slice(-MOST),
    temporary: [
      ...so.temporary.filter(({ what }) => !lived.putRight.includes(what)),
      ...lived.temporary.map((each) => ({ ...each, ...of })),
    ].slice(-MOST_LEFT),
  };
}

/** What an opening has room for. */
const [MOST, MOST_LEFT, MOST_FIGURES, MOST_WORDS] = [60, 20, 200, 100];

/** Everything that a valve brings from these jobs, the oldest first. */
export const carriedFrom = (lives: readonly LivedJob[]): Carried =>
  lives.reduce((so, { job, lived }) => carry(so, job, lived), NOTHING_CARRIED);

type Of = Pick<CoursePoint, 'job' | 'at'>;

/** What is known anew stands in the place of what was known of it. */
function renewed<T extends { readonly what: string }>(before: readonly T[], now: readonly T[]): T[] {
  const known = new Map([...before, ...now].map((each) => [each.what, each]));
  return [...known.values()];
}

function strokeAfter(so: Carried, of: Of, { stroke }: Lived): Pick<Carried, 'stroke'> {
  if (stroke) return { stroke: { ...of, points: stroke } };
  return so.stroke ? { stroke: so.stroke } : {};
}

function coursesAfter(before: readonly Course[], of: Of, { measures, renewed: parts }: Lived): Course[] {
  const read = new Set(measures.map(({ what }) => what));
  const isNew = (part: Course['part']) => parts.some((each) => each.part === part);
  // What a new part replaces takes its course with it, read on this job or not.
  const old = before.filter(({ what, part }) => !read.has(what) && !isNew(part));
  return [
    ...old,
    ...measures.map((each) =>
      courseAfter(
        before.find(({ what }) => what === each.what),
        of,
        each,
      ),
    ),
  ];
}

/** A part that was renewed begins anew: how the old one was found is no part of the new one’s life. */
function courseAfter(before: Course | undefined, of: Of, measure: Measure): Course {
  const { what, part, kind, direction, limit, found, left, renewed: isNew } = measure;
  const own: CoursePoint = {
    ...of,
    ...(found && !(isNew && kind === 'used up') ? { found } : {}),
    ...(left ? { left } : {}),
  };
  const points = isNew && kind === 'used up' ? [own] : [...(before?.points ?? []), own];
  return { what, ...(part ? { part } : {}), kind, direction, limit, points: points.slice(-MOST) };
}
