import {
  checkOf,
  checksFor,
  findFault,
  SYMPTOMS,
  type CauseId,
  type CheckId,
  type Evidence,
  type Read,
  type SymptomId,
} from '../diagnosis';
import { sickValve, type PlantedFault } from '../simulation';
import { closesByAir, defaultValve, type Features } from '../valve';

/** A fault planted in a valve that can have it, and what the operator then sees. */
export interface Planted {
  readonly fault: PlantedFault;
  readonly symptom: SymptomId;
  readonly features: Features;
  readonly dead?: boolean;
}

const double = defaultValve('control-globe-double-seat').features;
const piston = defaultValve('control-ball-in-venturi').features;

/** Every pair of symptom and cause of the handbook's table that a simulated control valve can show (part 4). */
export const PLANTED: readonly Planted[] = [
  ...(
    [
      'supply low',
      'packing too tight',
      'bottom guide blocked',
      'guides galled',
      'bench set wrong',
      'diaphragm torn',
      'relay faulty',
    ] as const
  ).map((fault) => ({ fault, symptom: 'half travel' as const, features: double })),
  ...(['coupled short', 'debris', 'seat worn'] as const).map((fault) => ({
    fault,
    symptom: 'passes when shut' as const,
    features: double,
  })),
  ...(
    [
      'flapper dirty',
      'relay faulty',
      'piston ring leaks',
      'cylinder seals leak',
      'packing too tight',
    ] as const
  ).map((fault) => ({ fault, symptom: 'sluggish' as const, features: piston })),
  ...(['supply low', 'signal lost', 'lock engaged', 'relay faulty'] as const).map((fault) => ({
    fault,
    symptom: 'no motion' as const,
    features: double,
    dead: true,
  })),
  ...(['gain too high', 'packing too tight', 'relay faulty', 'oversize or process'] as const).map(
    (fault) => ({
      fault,
      symptom: 'hunting' as const,
      features: double,
    }),
  ),
];

export interface Outcome {
  readonly named: CauseId | undefined;
  readonly checks: number;
  readonly minutes: number;
}

const ask = (check: CheckId, read: Read): Evidence => ({ check, result: checkOf(check).read?.(read) ?? 0 });
const minutesOf = (evidence: readonly Evidence[]): number =>
  evidence.reduce((sum, { check }) => sum + checkOf(check).minutes, 0);

/**
 * The handbook's list for the symptom, cause by cause in its order, each by the check that settles it. A cause named
 * wrongly is put right to no effect, and the list goes on.
 */
export function byChecklist({ fault, symptom, features, dead = false }: Planted, seed: number): Outcome {
  const read = sickValve(fault, seed, { dead, closesByAir: closesByAir(features) });
  const evidence: Evidence[] = [];
  let first: CauseId | undefined;
  for (const cause of Object.keys(SYMPTOMS[symptom].causes) as CauseId[]) {
    const check = settling(cause, features);
    if (!check) continue;
    const answer = evidence.find((each) => each.check === check) ?? ask(check, read);
    if (!evidence.includes(answer)) evidence.push(answer);
    if (answer.result !== checkOf(check).shows[cause]) continue;
    first ??= cause;
    if (cause === fault) break;
  }
  return { named: first, checks: evidence.length, minutes: minutesOf(evidence) };
}

/** The check that points to this cause and to the fewest others. */
function settling(cause: CauseId, features: Features): CheckId | undefined {
  return checksFor(features, [cause])
    .filter((check) => checkOf(check).read)
    .sort((a, b) => Object.keys(checkOf(a).shows).length - Object.keys(checkOf(b).shows).length)[0];
}

/** How many checks the handbook's list for the symptom has, for valves of these features. */
export function checklistLength({ symptom, features }: Planted): number {
  const causes = Object.keys(SYMPTOMS[symptom].causes) as CauseId[];
  return new Set(causes.flatMap((cause) => settling(cause, features) ?? [])).size;
}

/**
 * The finder's own way: its next check, until the fault is placed or nothing tells more. A cause named wrongly is put
 * right to no effect, and every check that is left is spent on the rest.
 */
export function byFinder({ fault, symptom, features, dead = false }: Planted, seed: number): Outcome {
  const read = sickValve(fault, seed, { dead, closesByAir: closesByAir(features) });
  const evidence: Evidence[] = [];
  for (;;) {
    const { suspects, next, others } = findFault({ symptom, features, evidence });
    if (next && checkOf(next.check).read) {
      evidence.push(ask(next.check, read));
      continue;
    }
    const named = suspects[0]?.cause;
    const spent = named === fault ? [] : others.map(({ check }) => ({ check, result: 0 }));
    return { named, checks: evidence.length, minutes: minutesOf([...evidence, ...spent]) };
  }
}
