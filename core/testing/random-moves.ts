import {
  allowedNext,
  boltIt,
  comesOffNext,
  exerciseOf,
  fitOrNot,
  inTheBag,
  makeItDead,
  PILES,
  readTheRing,
  RING_CALLS,
  setIt,
  STEM_CALLS,
  straightOrBent,
  whereIsTheFault,
  whichScrew,
  type Ticket,
} from '../drill';
import { VERDICTS } from '../inspection';
import { must } from '../problem';
import { psig, thou } from '../quantity';
import type { Chance } from '../simulation';
import { partsOf } from '../valve';

/** What somebody does who knows nothing of it and presses whatever there is, until it is over. */
export function randomMoves(ticket: Ticket, dice: Chance): readonly unknown[] {
  const one = <T>(of: readonly T[]): T => {
    const drawn = of[Math.floor(dice.uniform() * of.length)];
    if (drawn === undefined) throw new Error('nothing to choose from');
    return drawn;
  };
  const many = <T>(count: number, make: () => T): T[] => Array.from({ length: count }, make);
  switch (ticket.drill) {
    case 'comes-off-next': {
      const { valve, pieces } = must(exerciseOf(comesOffNext, ticket));
      const parts = partsOf(valve).map(({ role }) => role);
      return many(3 * pieces.length, () => ({ part: one(parts) }));
    }
    case 'make-it-dead': {
      const { points, energies } = must(exerciseOf(makeItDead, ticket));
      const any = () =>
        one([
          ...points.map(({ id }) => ({ do: 'point', point: id })),
          ...energies.map(({ kind }) => ({ do: 'look', at: kind })),
          { do: 'try live' },
          { do: 'another gauge' },
        ]);
      return [...many(2 * (points.length + energies.length), any), { do: 'call it dead' }];
    }
    case 'where-is-the-fault': {
      const { checks, causes } = must(exerciseOf(whereIsTheFault, ticket));
      return [...many(3, () => ({ do: 'check', check: one(checks) })), { do: 'name', cause: one(causes) }];
    }
    case 'read-the-ring': {
      must(exerciseOf(readTheRing, ticket));
      const gap = () => ({ from: 360 * dice.uniform(), degrees: 10 + 60 * dice.uniform() });
      return [
        { do: 'mark', gaps: many(Math.floor(3 * dice.uniform()), gap) },
        { do: 'call', call: one(RING_CALLS) },
      ];
    }
    case 'straight-or-bent':
      must(exerciseOf(straightOrBent, ticket));
      return [
        { do: 'say', tir: thou(8 * dice.uniform()), high: 360 * dice.uniform(), call: one(STEM_CALLS) },
      ];
    case 'bolt-it': {
      const exercise = must(exerciseOf(boltIt, ticket));
      const bolts = allowedNext(exercise, 0, []);
      return exercise.passes.flatMap(({ torque }) => [
        { do: 'set', to: torque },
        ...many(2 * exercise.bolts, () => ({ do: 'pull', bolt: one(bolts) })),
      ]);
    }
    case 'in-the-bag': {
      const { items } = must(exerciseOf(inTheBag, ticket));
      return [...items.map(({ id }) => ({ do: 'sort', item: id, pile: one(PILES) })), { do: 'done' }];
    }
    case 'which-screw': {
      const { screws } = must(exerciseOf(whichScrew, ticket));
      const turn = () => ({ do: 'turn', screw: one(screws), by: Math.round(16 * dice.uniform() - 8) / 8 });
      return [...many(4, turn), { do: 'stroke' }, { do: 'done' }];
    }
    case 'set-it': {
      const { coldSet } = must(exerciseOf(setIt, ticket));
      const any = () =>
        one([
          { do: 'raise', to: psig(Math.round(coldSet.value * (0.5 + dice.uniform()))) },
          { do: 'vent' },
          { do: 'turn', by: Math.round(16 * dice.uniform() - 8) / 8 },
          { do: 'ring', by: Math.round(20 * dice.uniform() - 10) },
          { do: 'tightness' },
          { do: 'gag off' },
        ]);
      return [...many(12, any), { do: 'done', seat: one(['tight', 'leaks']) }];
    }
    case 'fit-or-not':
      must(exerciseOf(fitOrNot, ticket));
      return [{ verdict: one(VERDICTS), cost: Math.round(2000 * dice.uniform()) }];
  }
}
