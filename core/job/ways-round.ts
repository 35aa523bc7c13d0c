import { onStep, type JobState } from './state';

/** Two ways a part can stand; where the trade has one answer, the first is the right one. */
interface WayRound {
  readonly ways: readonly [string, string];
  readonly settled?: true;
}

/** What goes back one way round only, and is easily turned (common practice, from constructions that have it). */
const WAYS_ROUND = {
  'part number of the diaphragm': { ways: ['number down', 'number up'] },
  'bevel of the diaphragm': { ways: ['bevel down', 'bevel up'], settled: true },
  'metal disc of the diaphragm': { ways: ['disc up', 'disc down'], settled: true },
  'cone spring': { ways: ['wide end on the diaphragm', 'narrow end on the diaphragm'], settled: true },
  'armature spring': { ways: ['tight coils at the top', 'tight coils at the bottom'], settled: true },
  'letters and numbers': { ways: ['all up', 'one or more down'], settled: true },
  'numbered face of the reversible seat': { ways: ['towards the port', 'away from the port'] },
  'rounded side of the trunnion hub': { ways: ['towards the inlet', 'away from the inlet'], settled: true },
  'outlet hole of the vortex bushing': {
    ways: ['towards the bypass branch', 'away from the bypass branch'],
    settled: true,
  },
  'key slot of the arm': { ways: ['first slot', 'second slot'] },
  'numbered end of the cartridge': { ways: ['upstream', 'downstream'] },
  'lips of the seals': { ways: ['to the pressure', 'away from the pressure'], settled: true },
  'lip of the piston': { ways: ['to the pressure', 'away from the pressure'], settled: true },
  'pressure side of the cushion': { ways: ['away from the bonnet', 'towards the bonnet'], settled: true },
  'long lip of the cage': { ways: ['lip down', 'lip up'], settled: true },
  'left mark of the wedge': { ways: ['at the left seat', 'at the right seat'] },
  'flow arrow of the body': { ways: ['with the flow', 'against the flow'], settled: true },
} as const satisfies Readonly<Record<string, WayRound>>;

export type RoundOf = keyof typeof WAYS_ROUND;
export const ROUNDS = Object.keys(WAYS_ROUND) as RoundOf[];

const of = (what: RoundOf): WayRound => WAYS_ROUND[what];
export const waysOf = (what: RoundOf): readonly [string, string] => of(what).ways;

/** Which way round it stood when that step saw it last. */
export const wayRoundOn = (state: JobState, step: string, what: RoundOf): string | undefined =>
  onStep(state, 'way-round-seen', step).findLast(({ body }) => body.what === what)?.body.way;

/** The way it must stand: what the trade has settled, else as it stood before, or turned from that. */
export function wayWanted(what: RoundOf, before: string | undefined, turned: boolean): string | undefined {
  const { ways, settled } = of(what);
  if (settled) return ways[0];
  if (before === undefined || !turned) return before;
  return ways.find((way) => way !== before);
}
