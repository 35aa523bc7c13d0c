import { always, draft, stepName, type Draft } from '../procedure';
import { psig } from '../quantity';
import type { Stage } from '../job';
import { moverOf, type Valve } from '../valve';
import { proposed, type Placed } from './order';

const because = always('the supply is locked out: bench air is a source of its own');

/**
 * Steps that want air on the actuator while its own supply is locked out, or far away, get it from the bench: connected
 * before the first of a run of them, vented and proved at zero after the last, before the next hand goes in.
 */
export function withBenchAir(order: readonly Placed[], valve: Valve): Placed[] {
  const result: Placed[] = [];
  const counted = new Map<string, number>();
  let run: { readonly users: string[]; readonly off: Placed } | undefined;
  /** Whoever waited for a step that wants air waits for the air to be off again. */
  const offAfter = new Map<string, string>();
  const close = () => {
    if (!run) return;
    result.push({ ...run.off, after: run.users });
    for (const user of run.users) offAfter.set(user, run.off.id);
    run = undefined;
  };
  for (const placed of order) {
    if (!placed.draft.benchAir) {
      close();
      const offs = placed.after.flatMap((id) => offAfter.get(id) ?? []);
      result.push(
        offs.length === 0 ? placed : { ...placed, after: [...new Set([...placed.after, ...offs])] },
      );
      continue;
    }
    if (!run) {
      const { stage } = placed.draft;
      const key = `${stage}@${placed.opening}`;
      const round = (counted.get(key) ?? 0) + 1;
      counted.set(key, round);
      const [on, off] = [airOn(stage, round, valve), airOff(stage, round)].map((step) => ({
        ...proposed(step, placed.opening),
        after: [] as readonly string[],
      })) as [Placed, Placed];
      const offs = placed.after.flatMap((id) => offAfter.get(id) ?? []);
      result.push({ ...on, after: [...new Set([...placed.after, ...offs])] });
      run = { users: [], off };
      result.push({ ...placed, after: [...placed.after, on.id] });
    } else result.push({ ...placed, after: [...new Set([...placed.after, ...run.users.slice(-1)])] });
    run.users.push(placed.id);
  }
  close();
  return result;
}

const named = (what: 'on' | 'off', stage: Stage, round: number) =>
  stepName(`bench-air.${what}`, stage.replaceAll(' ', '-'), round === 1 ? undefined : round);

function airOn(stage: Stage, round: number, valve: Valve): Draft {
  const isDiaphragm = moverOf(valve.features).element === 'diaphragm';
  return draft({
    name: named('on', stage, round),
    stage,
    title: 'Bench air on: own regulator, own hose, own gauge',
    why: `Never from a supply that is locked out. Set to what the next steps ask for, and never over the casing limit of the actuator: its plate or sheet says it, nobody assumes it.`,
    caution:
      'Whoever holds the isolation agrees that the valve may move. Hands clear of plug, clevis, coupling and yoke while it is on.',
    tools: ['regulator and test gauge'],
    task: {
      kind: 'measure',
      asks: [
        {
          what: 'bench air set to',
          dimension: 'gauge pressure',
          example: isDiaphragm ? '20 psig' : '80 psig',
          instrument: 'gauge',
          mustBe: { from: psig(1), to: psig(MOST_PSIG) },
        },
      ],
    },
    minutes: 4,
    because,
  });
}

/** Shop air (common practice): more than this is no bench air. */
const MOST_PSIG = 150;

function airOff(stage: Stage, round: number): Draft {
  return draft({
    name: named('off', stage, round),
    stage,
    title: 'Bench air off, vented, proved at zero',
    why: 'Hose off or its cock open: air that stays moves the valve with a hand in it.',
    caution: 'The valve moves as its air goes: fingers out of yoke and lever.',
    task: {
      kind: 'measure',
      asks: [
        {
          what: 'bench air',
          dimension: 'gauge pressure',
          example: '0 psig',
          instrument: 'gauge',
          mustBe: 'zero',
        },
      ],
    },
    minutes: 2,
    because,
  });
}
