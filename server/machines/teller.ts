import pLimit from 'p-limit';
import { Op, type Sequelize } from 'sequelize';
import { numberHappenings, told } from '../database/happenings';
import { CallRow, HappeningRow, HookRow } from '../database/machine-models';
import { isCallable } from './hosts';
import { signed } from './signature';

const LOOKS_EVERY = 1000;
const AT_ONCE = 4;
const MOST_A_LOOK = 50;
/** Longer than a call may take: whoever has taken one tells it, or somebody else does after this. */
const LEASE = 60_000;
const LONGEST_ANSWER = 10_000;
const FIRST_PAUSE = 5000;
const LONGEST_PAUSE = 60 * 60 * 1000;
/** Five seconds, doubled to an hour: a day and a half. */
export const MOST_TRIES = 44;

/** How long until the next try, after so many. */
export const pauseAfter = (tries: number): number => Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** (tries - 1));

/** A call that is due, taken by this server alone. */
async function taken(now: Date): Promise<CallRow[]> {
  const due = await CallRow.findAll({
    where: { state: 'waiting', nextAt: { [Op.lte]: now } },
    order: [['seq', 'ASC']],
    limit: MOST_A_LOOK,
  });
  const mine = [];
  for (const call of due) {
    const { hookId, seq, tries } = call;
    const [count] = await CallRow.update(
      { nextAt: new Date(now.getTime() + LEASE), tries: tries + 1 },
      { where: { hookId, seq, tries, state: 'waiting' } },
    );
    if (count === 1) mine.push(call);
  }
  return mine;
}

/** Tells one address of one thing; what came of it, in words, where it was not told. */
async function tell(
  hook: HookRow,
  what: HappeningRow,
  hosts: readonly string[],
  now: Date,
): Promise<string | undefined> {
  if (!isCallable(hook.address, hosts)) return 'its host may not be called from here any more';
  const happening = told(what);
  const body = JSON.stringify(happening);
  try {
    const answer = await fetch(hook.address, {
      ...{ method: 'POST', body, redirect: 'manual' },
      headers: { 'content-type': 'application/json', ...signed(hook.secret, happening.id, now, body) },
      signal: AbortSignal.timeout(LONGEST_ANSWER),
    });
    await answer.body?.cancel();
    return answer.ok ? undefined : `it answered ${answer.status}`;
  } catch (error) {
    const timedOut = error instanceof DOMException && error.name === 'TimeoutError';
    return timedOut ? 'it did not answer within ten seconds' : 'it could not be reached';
  }
}

async function keep(call: CallRow, why: string | undefined, now: Date): Promise<void> {
  const { hookId, seq } = call;
  const tries = call.tries + 1;
  const came =
    why === undefined
      ? { state: 'told', toldAt: now, said: null }
      : tries >= MOST_TRIES
        ? { state: 'given up', said: why }
        : { nextAt: new Date(now.getTime() + pauseAfter(tries)), said: why };
  await CallRow.update(came, { where: { hookId, seq, state: 'waiting' } });
}

/** Numbers what happened and makes the calls that are due, once; answers how many were made. */
export async function tellWhatIsDue(
  sequelize: Sequelize,
  hosts: readonly string[],
  now: () => Date,
): Promise<number> {
  while ((await numberHappenings(sequelize, now())) > 0);
  const calls = await taken(now());
  const inTurn = pLimit(AT_ONCE);
  await Promise.all(
    calls.map((call) =>
      inTurn(async () => {
        const hook = await HookRow.findByPk(call.hookId);
        const what = await HappeningRow.findOne({ where: { seq: call.seq } });
        if (!hook || !what) return;
        await keep(call, await tell(hook, what, hosts, now()), now());
      }),
    ),
  );
  return calls.length;
}

/** Tells other programs of what happens, as it happens; answers with how to stop. */
export function keepTelling(
  sequelize: Sequelize,
  hosts: readonly string[],
  onFailure: (error: unknown) => void,
): () => Promise<void> {
  let looking: Promise<unknown> = Promise.resolve();
  let isLooking = false;
  const timer = setInterval(() => {
    if (isLooking) return;
    isLooking = true;
    looking = tellWhatIsDue(sequelize, hosts, () => new Date())
      .catch(onFailure)
      .finally(() => (isLooking = false));
  }, LOOKS_EVERY).unref();
  return async () => {
    clearInterval(timer);
    await looking;
  };
}
