import { placingText, type WeekView } from '@dusk-wren/contract/week';
import type { Placing } from '@dusk-wren/core/schedule';
import { dayIn } from '@dusk-wren/core/quantity';
import { shifted, type Draft, type Pinned } from './draft';
import type { PlanAnswer } from './solved';

/** What stood, counted from another moment: what should have begun by then stands at it. */
export const standingPlan = (before: WeekView | undefined, from: Date): Placing[] =>
  before === undefined
    ? []
    : shifted(before.plan, new Date(before.from), from).map((each) => ({
        ...each,
        start: Math.max(0, each.start),
      }));

interface Made {
  readonly draft: Draft;
  readonly pins: readonly Pinned[];
  readonly said: readonly string[];
  readonly answer: PlanAnswer;
  readonly before: WeekView | undefined;
}

/** The plan with all that a screen wants to draw it and to try others. */
export function viewOf({ draft, pins, said, answer, before }: Made): WeekView {
  const { from, zone, days, people, jobs, gaps, learned } = draft;
  const plan: readonly Placing[] = answer.kind === 'planned' ? answer.plan : [];
  const quality = answer.kind === 'planned' ? answer.quality : { objective: 0, bound: 0, gap: 0 };
  return {
    from: from.toISOString(),
    zone,
    days: days.map(({ day, midnight }) => ({ day, midnight })),
    week: draft.weekWith(pins),
    people: [...people],
    learned,
    jobs: jobs.map(({ view, operations }) => ({
      ...view,
      kinds: Object.fromEntries(operations.map(({ id, kind }) => [id, kind])),
      begun: operations.flatMap(({ id, begunBy }) => (begunBy === undefined ? [] : [id])),
    })),
    plan: plan.map(placingText),
    morning: morningOf(before, draft) ?? plan.map(placingText),
    pins: pins.map(({ job, id, by }) => ({ job, id, by })),
    ...quality,
    said: [
      ...(answer.kind === 'none' ? [`No plan can be made: ${answer.why.why}`] : []),
      ...said,
      ...gaps.places.map((kind) => `No ${kind} is set up: planned as if one were always free.`),
      ...gaps.skills.map(
        (skill) =>
          `Nobody is noted for ${SKILL_WORDS[skill] ?? skill}: planned as if whoever is at a bench could.`,
      ),
    ],
  };
}

const SKILL_WORDS: Partial<Record<string, string>> = {
  lathe: 'the lathe',
  relief: 'relief valves',
  field: 'work in the field',
};

/** How the day began: the morning's plan, or the last one of the day before. */
function morningOf(before: WeekView | undefined, { from, zone }: Draft): WeekView['plan'] | undefined {
  if (!before) return undefined;
  const isToday = dayIn(before.from, zone) === dayIn(from.toISOString(), zone);
  return shifted(isToday ? before.morning : before.plan, new Date(before.from), from).map(placingText);
}
