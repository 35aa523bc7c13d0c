import { openingOf, type JobState } from '../job';
import { draft, rule, stepName, type Draft } from '../procedure';
import { SHELF_UNITS, unitRoles, type PartRole, type ShelfUnitKind, type Valve } from '../valve';
import { proposed, type Proposed } from './order';

/**
 * The steps that are this job's: without what a shelf unit brings ready, or, where only a swapped-out unit is on the
 * bench, with nothing but that.
 */
export function onTheBench(state: JobState, valve: Valve, drafts: readonly Proposed[]): Proposed[] {
  const only = openingOf(state)?.body.only;
  const mine =
    only === undefined ? [...drafts] : drafts.filter(({ draft: step }) => belongs(step, valve, only));
  return state.records['unit-taken'].reduce<Proposed[]>(
    (steps, { body, seq }) => swapped(steps, valve, body.kind, body.serial, seq),
    mine,
  );
}

/** Work on the inside of the unit, and looks at it, fall away; fitting it and sending the old one on come in. */
function swapped(
  steps: readonly Proposed[],
  valve: Valve,
  kind: ShelfUnitKind,
  serial: string,
  entry: number,
): Proposed[] {
  const { carries, holds } = unitRoles(valve, kind);
  const inside = new Set<PartRole>(holds);
  const unit = new Set<PartRole>([...carries, ...holds]);
  const [whole] = carries;
  const kept = steps.filter(({ draft: { parts, stage } }) => {
    if (parts.length === 0) return true;
    const judged = stage === 'inspect' || stage === 'repair';
    return !parts.every((part) => (judged ? unit : inside).has(part));
  });
  const because = { ...rule('a unit from the shelf is fitted, the old one rebuilt by itself'), entry };
  const fit = draft({
    name: stepName(`repair.shelf-${kind.replaceAll(' ', '-')}`),
    stage: 'repair',
    title: `${SHELF_UNITS[kind].name} ${serial} from the shelf: check it against the old one`,
    why: 'Same key, same length, seals within their shelf life; its own record says who rebuilt it.',
    parts: whole ? [whole] : [],
    minutes: 10,
    because,
    after: ['stripped'],
    provides: ['repaired'],
  });
  const old = draft({
    name: stepName(`release.old-${kind.replaceAll(' ', '-')}`),
    stage: 'release',
    title: `Old ${kind}: tag it and open its own job`,
    why: 'It is rebuilt when there is time, and stands on the shelf for the next one.',
    parts: whole ? [whole] : [],
    minutes: 5,
    because,
    after: ['tested'],
    provides: [],
  });
  return [...kept, proposed(fit, 1), proposed(old, 1)];
}

/** Whether a step is work on the unit that alone lies on the bench. */
function belongs({ ofTheJob, parts }: Draft, valve: Valve, only: ShelfUnitKind): boolean {
  const { carries, holds } = unitRoles(valve, only);
  const unit = new Set<PartRole>([...carries, ...holds]);
  return ofTheJob === true || (parts.length > 0 && parts.every((part) => unit.has(part)));
}
