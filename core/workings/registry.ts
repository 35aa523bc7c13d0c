import { refuse, type Result } from '../problem';
import { boltingSequence } from './bolting-sequence';
import { boltingTorque } from './bolting-torque';
import { leakAllowance } from './leak-allowance';
import { packingRings } from './packing-rings';
import { seatContact } from './seat-contact';
import { stemRunout } from './stem-runout';
import { testPressures } from './test-pressures';
import { register, type RegisteredWorking } from './working';

/** Every working there is, in the order a list shows them. */
export const WORKINGS: readonly RegisteredWorking[] = [
  register(stemRunout),
  register(seatContact),
  register(packingRings),
  register(boltingTorque),
  register(boltingSequence),
  register(testPressures),
  register(leakAllowance),
];

export function findWorking(id: string): Result<RegisteredWorking> {
  const found = WORKINGS.find((working) => working.id === id);
  return found
    ? { ok: true, value: found }
    : refuse({ code: 'working.unknown', id, known: WORKINGS.map((each) => each.id) });
}

/** Workings that answer to what a person typed, best first; all of them for an empty search. */
export function searchWorkings(text: string): RegisteredWorking[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const score = (working: RegisteredWorking) => {
    const told = [working.title, working.id, ...working.asks].join(' ').toLowerCase();
    return words.filter((word) => told.includes(word)).length;
  };
  return WORKINGS.map((working) => ({ working, score: score(working) }))
    .filter(({ score: found }) => words.length === 0 || found > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ working }) => working);
}
