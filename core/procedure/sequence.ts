import type { Stage } from '../job';
import { arrivalOf } from './blocks/arrival';
import { draft, type Because, type Context, type Draft } from './draft';
import { ifThere, stepName, type Milestone, type Relation, type StepName } from './relations';

/** A step of a sequence, with only what is particular to it. */
export interface Sketch
  extends
    Pick<Draft, 'title' | 'why' | 'minutes'>,
    Partial<
      Pick<
        Draft,
        | 'caution'
        | 'tools'
        | 'consumables'
        | 'parts'
        | 'off'
        | 'on'
        | 'optional'
        | 'task'
        | 'provides'
        | 'because'
        | 'benchAir'
        | 'unloads'
      >
    > {
  /** Its name where another step waits for it, else only how its id is spelt. */
  readonly id: StepName | string;
  /** Waits for these instead of the step before it. */
  readonly after?: readonly Relation[];
  /** Waits for these as well as for the step before it. */
  readonly also?: readonly Relation[];
}

/** What the steps of a sequence share. */
export interface Thread {
  readonly stage: Stage;
  readonly because: Because;
  /** What its first step waits for. */
  readonly after: readonly Relation[];
  readonly provides: readonly Milestone[];
  readonly once?: true;
  /** A test by a source of its own, at a test connection: in its line too it is done while the locks hang. */
  readonly ownPressure?: true;
}

/**
 * Steps one after the other. A sketch that is `false` is left out and the next follows the one before it. What goes on
 * waits for its part to arrive, where one is on order. Touched parts that this valve has not are left out of the list.
 */
export function sequence(c: Context, thread: Thread, sketches: readonly (Sketch | false)[]): Draft[] {
  // In its line only the line itself brings what other tests need.
  const byLine = thread.stage === 'test' && c.place === 'in line' && !thread.ownPressure;
  const begins = byLine ? [...thread.after, 'restored' as const] : thread.after;
  const drafts: Draft[] = [];
  let previous: StepName | undefined;
  for (const sketch of sketches) {
    if (!sketch) continue;
    const {
      id,
      after,
      also = [],
      provides = [],
      minutes,
      because = thread.because,
      on = [],
      parts = [],
      ...rest
    } = sketch;
    const name = typeof id === 'string' ? stepName(id) : id;
    const follows = after ?? (previous === undefined ? begins : [previous]);
    drafts.push(
      draft({
        ...rest,
        ...(thread.once ? { once: true } : {}),
        on,
        parts: parts.filter(c.has),
        name,
        stage: thread.stage,
        because: reopened(c, because),
        minutes: c.minutes(minutes),
        after: [...follows, ...also, ...on.map((part) => ifThere(arrivalOf(part)))],
        provides: [...thread.provides, ...provides],
      }),
    );
    previous = name;
  }
  return drafts;
}

/** On a later opening the reason is the test that failed. */
const reopened = ({ opening }: Context, because: Because): Because => opening.again?.because ?? because;

/** What comes off after the marks are set waits until the settings are taken too, where the valve has any. */
export const strip = (because: Because, after: readonly Relation[], ...provides: Milestone[]): Thread => ({
  stage: 'strip',
  because,
  after:
    after.includes('marked') && !provides.includes('settings noted') ? [...after, 'settings noted'] : after,
  provides: ['stripped', ...provides],
});

export const inspect = (because: Because, ...provides: Milestone[]): Thread => ({
  stage: 'inspect',
  because,
  after: ['clean to inspect'],
  provides: ['inspected', ...provides],
  once: true,
});

export const repair = (because: Because, after: readonly Relation[], ...provides: Milestone[]): Thread => ({
  stage: 'repair',
  because,
  after: ['stripped', ...after],
  provides: ['repaired', ...provides],
});

export const rebuild = (because: Because, after: readonly Relation[], ...provides: Milestone[]): Thread => ({
  stage: 'rebuild',
  because,
  after: ['clean to close', ...after],
  provides: ['rebuilt', ...provides],
});

export const setUp = (
  because: Because,
  after: readonly Relation[] = [],
  ...provides: Milestone[]
): Thread => ({
  stage: 'set up',
  because,
  after: ['rebuilt', ...after],
  provides: ['set up', ...provides],
});

export const proving = (because: Because, after: readonly Relation[] = ['set up']): Thread => ({
  stage: 'test',
  because,
  after,
  provides: ['tests'],
});

/** The same sequence at the first opening only: what it works on stays as it is when the valve is opened again. */
export const once = (thread: Thread): Thread => ({ ...thread, once: true });
