import type { EntryOf, JobState } from '../job';
import type { Plan } from '../plan';
import { formatClock, type Quantity } from '../quantity';

/** What an isolation reads is of that day only. */
const isOfTheValve = ({ step: { stage } }: EntryOf<'measured'>['body']) =>
  stage !== 'isolate' && stage !== 'receive' && stage !== 'diagnose' && stage !== 'release';

/** Figures as they were left, by what they are of: the last reading of each that was no proof of zero. */
export function figuresLeft(state: JobState, { steps }: Plan): { what: string; value: Quantity }[] {
  const zero = new Set(
    steps.flatMap(({ id, task }) =>
      task.kind === 'measure'
        ? task.asks.flatMap(({ what, mustBe }) => (mustBe === 'zero' ? [`${id} ${what}`] : []))
        : [],
    ),
  );
  const last = new Map(
    state.records.measured
      .filter(({ body }) => isOfTheValve(body) && !zero.has(`${body.step.id} ${body.what}`))
      .map(({ body }) => [body.what, body.value] as const),
  );
  // What a joint was tightened to, where its last bolt is.
  for (const { task, title, status } of steps)
    if (task.kind === 'bolt-up' && status === 'done')
      last.set(`torque: ${title}`.slice(0, LONGEST), task.torque);
  return [...last].slice(-MOST).map(([what, value]) => ({ what, value }));
}
const [MOST, LONGEST] = [200, 60];

/** What a job leaves that is said in words: which way round, the packing, seals by number, a unit from the shelf. */
export function wordsLeft({ records }: JobState): { what: string; words: string }[] {
  const ways = new Map(records['way-round-seen'].map(({ body }) => [body.what, body.way] as const));
  const packing = records['packing-fitted'].at(-1)?.body;
  const units = new Map(records['unit-taken'].map(({ body }) => [body.kind, body.serial] as const));
  const seals = records['step-done'].flatMap(({ body }) => sealIn(body.note));
  const marks = new Map(records['mark-set'].map(({ body }) => [body.part, body.clock] as const));
  return [
    ...[...marks].map(([part, clock]) => ({ what: `mark of the ${part}`, words: formatClock(clock) })),
    ...[...ways].map(([what, words]) => ({ what, words })),
    ...(packing ? [{ what: 'packing rings fitted', words: String(packing.joints.length) }] : []),
    ...[...units].map(([kind, serial]) => ({ what: `${kind} in it`, words: serial })),
    ...seals.slice(-1).map((words) => ({ what: 'number of the seal', words })),
  ];
}

const SEAL = /number of the seal: ([^;]{1,120})/;
const sealIn = (note: string | undefined): string[] => {
  const found = note === undefined ? null : SEAL.exec(note);
  return found?.[1] === undefined ? [] : [found[1].trim()];
};

/** The last stroke as it was left. */
export function strokeLeft(
  state: JobState,
  { steps }: Plan,
): EntryOf<'stroke-tested'>['body']['points'] | undefined {
  const asFound = new Set(
    steps.flatMap(({ id, task }) => (task.kind === 'stroke-test' && task.asFound ? [id] : [])),
  );
  return state.records['stroke-tested'].findLast(({ body }) => !asFound.has(body.step.id))?.body.points;
}
