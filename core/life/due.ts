import { z } from 'zod';
import { siteOf } from '../calls';
import type { SiteRules } from '../inspection';
import { openingOf, valveOf, NOTHING_CARRIED, type Carried, type JobId, type JobState } from '../job';
import { monthsAfter, quantity, valueIn } from '../quantity';
import { closureOf, relieves, type Valve } from '../valve';
import { intervalNext } from '../workings';
import { carry } from './carry';
import { livedUntil, type Lived } from './lived';
import { meetsOf } from './meets';

/** Why a valve is due: what it is that says so. */
export const DUE_KINDS = ['measure', 'ladder', 'site', 'law', 'recall', 'shelf life', 'certificate'] as const;

/** A day that a valve is due on, and why. */
export const dueSchema = z.strictObject({ at: z.iso.date(), kind: z.enum(DUE_KINDS), words: z.string() });
export type Due = z.output<typeof dueSchema>;
type DueKind = Due['kind'];

const months = (count: number): string => `${count} ${count === 1 ? 'month' : 'months'}`;

/**
 * The interval that follows from how it was found: the site's own until it has been here twice, then its ladder up or
 * down, capped by the site, and on a relief valve by the law that the site is under. Source: API RP 576 for the
 * principle; handbook part 7, section 1.
 */
export function intervalOf(
  before: Carried,
  { asFound, signed }: Pick<Lived, 'asFound' | 'signed'>,
  valve: Valve,
  site: SiteRules,
): Due {
  const law = relieves(closureOf(valve.features)) ? site.reliefMonths : undefined;
  const cap = Math.min(site.longestMonths, law ?? site.longestMonths);
  const held = (wanted: number, kind: DueKind, words: string): Due => {
    const at = monthsAfter(signed, Math.min(wanted, cap));
    if (wanted <= cap) return { at, kind, words };
    return law !== undefined && law < site.longestMonths
      ? { at, kind: 'law', words: `no longer than ${months(law)}, by law` }
      : { at, kind: 'site', words: `no longer than ${months(cap)}, by the rules of ${site.name}` };
  };
  const bySite = () =>
    held(site.nextDueMonths, 'site', `every ${months(site.nextDueMonths)}, by the rules of ${site.name}`);
  if (!asFound) return bySite();
  const isFirst = before.months === undefined;
  if (isFirst && asFound.found === 'good') return bySite();
  const worked = intervalNext.work({
    lastInterval: quantity('time', before.months ?? site.nextDueMonths, 'month'),
    history: [...before.found.map(({ found }) => found), asFound.found],
    limit: quantity('time', NO_LIMIT, 'month'),
    ladder: site.ladderMonths.map((rung) => quantity('time', rung, 'month')),
  });
  if (!worked.ok) return bySite();
  const next = Math.max(1, Math.round(valueIn(worked.value.result.interval, 'month')));
  return held(next, 'ladder', `${months(next)}: ${worked.value.result.reason}`);
}

/** What is held is said by the cap itself. */
const NO_LIMIT = 600;

/** What a measure or something left for now says, besides the interval. */
export function duesCarried({ courses, temporary }: Carried, today: string): Due[] {
  return [
    ...courses.flatMap((course): Due[] => {
      if (course.kind === 'put back' && course.points.at(-1)?.found === undefined) return [];
      const meets = meetsOf(course);
      if (meets.kind === 'over limit')
        return [{ at: today, kind: 'measure', words: `${course.what}: over its limit` }];
      return meets.kind === 'date'
        ? [{ at: meets.early, kind: 'measure', words: `${course.what} meets its limit` }]
        : [];
    }),
    ...temporary.map(({ what, recall }): Due => ({
      at: recall,
      kind: 'recall',
      words: `left for now: ${what}`,
    })),
  ];
}

/** The earliest first; of two on one day the one that is no habit. */
export const soonest = (dues: readonly Due[]): Due[] =>
  dues.toSorted((a, b) => a.at.localeCompare(b.at) || DUE_KINDS.indexOf(a.kind) - DUE_KINDS.indexOf(b.kind));

/** When a valve is due after the job as it stands, were it signed on this day: what the certificate proposes. */
export function dueAfter(state: JobState, job: JobId, signed: string): Due[] {
  const [valve, before] = [valveOf(state), openingOf(state)?.body.carried ?? NOTHING_CARRIED];
  const lived = livedUntil(state, { signed, nextDue: signed });
  if (!valve || !lived) return [];
  return soonest(duesOf(before, job, lived, valve, siteOf(state)));
}

/** Every day that a valve is due on after a job, by what was known before it and what it found and left. */
export function duesOf(before: Carried, job: JobId, lived: Lived, valve: Valve, site: SiteRules): Due[] {
  return [intervalOf(before, lived, valve, site), ...duesCarried(carry(before, job, lived), lived.signed)];
}
