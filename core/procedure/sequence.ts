import type { Stage } from '../job';
import type { PartRole } from '../valve';
import { draft, finding, type Because, type Context, type Draft } from './draft';

/** A step of a sequence, with only what is particular to it. Ids and milestones are those of the first opening. */
export interface Sketch
  extends
    Pick<Draft, 'id' | 'title' | 'why' | 'minutes'>,
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
      >
    > {
  /** Waits for these instead of the step before it. */
  readonly after?: readonly string[];
  /** Waits for these as well as for the step before it. */
  readonly also?: readonly string[];
}

/** What the steps of a sequence share. */
export interface Thread {
  readonly stage: Stage;
  readonly because: Because;
  /** What its first step waits for. */
  readonly after: readonly string[];
  readonly provides: readonly string[];
}

export const slug = (part: PartRole): string => part.replaceAll(' ', '-').toLowerCase();

/**
 * Steps one after the other. A sketch that is `false` is left out and the next follows the one before it. What goes on
 * waits for its part to arrive, where one is on order. Touched parts that this valve has not are left out of the list.
 */
export function sequence(c: Context, thread: Thread, sketches: readonly (Sketch | false)[]): Draft[] {
  const drafts: Draft[] = [];
  let previous: string | undefined;
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
    const follows = after ?? (previous === undefined ? thread.after : [previous]);
    drafts.push(
      draft({
        ...rest,
        on,
        parts: parts.filter(c.has),
        id: c.id(id),
        stage: thread.stage,
        because: reopened(c, because),
        minutes: c.minutes(minutes),
        after: [...[...follows, ...also].map(c.id), ...arrivals(on)],
        provides: [...thread.provides, ...provides].map(c.id),
      }),
    );
    previous = id;
  }
  return drafts;
}

const arrivals = (on: readonly PartRole[]): string[] => on.map((part) => `arrive.${slug(part)}`);

/** On a later opening the reason is the test that failed. */
export function reopened({ opening }: Context, because: Because): Because {
  return opening.failed ? finding('the seat test was over its allowance', opening.failed.seq) : because;
}

/** What comes off after the marks are set waits until the settings are taken too, where the valve has any. */
export const strip = (because: Because, after: readonly string[], ...provides: string[]): Thread => ({
  stage: 'strip',
  because,
  after: after.includes('marked') && !provides.includes('noted') ? [...after, 'noted'] : after,
  provides: ['stripped', ...provides],
});

export const inspect = (because: Because, ...provides: string[]): Thread => ({
  stage: 'inspect',
  because,
  after: ['inspect.clean'],
  provides: ['inspected', ...provides],
});

export const rebuild = (because: Because, after: readonly string[], ...provides: string[]): Thread => ({
  stage: 'rebuild',
  because,
  after,
  provides: ['rebuilt', ...provides],
});

export const setUp = (because: Because, after: readonly string[], ...provides: string[]): Thread => ({
  stage: 'set up',
  because,
  after,
  provides: ['set up', ...provides],
});
