import { DRILLS, skillsOf } from '@dusk-wren/core/drill';
import { dayIn, sayDay } from '@dusk-wren/core/quantity';
import type { PersonStamp } from '@dusk-wren/core/job';
import type { Training } from '../documents/training-pdf';
import { attemptsByPerson } from './attempts';
import { witnessedJobs } from './work-rules';

/** What somebody has learnt as their certificate says it, by the shop's clocks. */
export async function trainingOf({ id, name }: PersonStamp, now: Date, zone: string): Promise<Training> {
  const [done, watched] = await Promise.all([attemptsByPerson([id]), witnessedJobs()]);
  const day = (moment: Date | string | undefined) =>
    moment === undefined ? '' : sayDay(dayIn(new Date(moment).toISOString(), zone));
  return {
    name,
    day: day(now),
    skills: skillsOf(done.get(id) ?? [], now)
      .filter(({ standing }) => standing === 'holds')
      .map(({ drill, mean, level, last, fades }) => ({
        subject: DRILLS[drill].title,
        teaches: DRILLS[drill].teaches,
        mean: `${Math.round(mean * 100)} %`,
        level: String(level),
        last: day(last),
        until: day(fades),
      })),
    watched: watched
      .filter(({ person }) => person === id)
      .map(({ work, tag, by, at }) => ({ work, tag, by, day: day(at) })),
  };
}
