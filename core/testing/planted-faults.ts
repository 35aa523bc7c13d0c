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
import { defaultValve, featuresSchema, type Features } from '../valve';

/** A fault planted in a valve that can have it, and what the operator then sees. */
export interface Planted {
  readonly fault: PlantedFault;
  readonly symptom: SymptomId;
  readonly features: Features;
}

const double = defaultValve('control-globe-double-seat').features;
const piston = defaultValve('control-ball-in-venturi').features;

const shutBySpring = featuresSchema.parse({
  ...double,
  moved: { ...double.moved, action: 'air-to-open' },
});
const cage = defaultValve('control-balanced-cage').features;

const planted = (
  symptom: SymptomId,
  features: Features,
  ...faults: readonly PlantedFault[]
): readonly Planted[] => faults.map((fault) => ({ fault, symptom, features }));

/** Every pair of symptom and cause of the handbook's table that a simulated control valve can show (part 4). */
export const PLANTED: readonly Planted[] = [
  ...planted(
    'half travel',
    double,
    'supply low',
    'packing too tight',
    'bottom guide blocked',
    'guides galled',
    'positioner out of set',
    'bench set wrong',
    'tubing leaks',
    'diaphragm torn',
    'relay faulty',
  ),
  ...planted(
    'half travel',
    piston,
    'supply low',
    'packing too tight',
    'positioner out of set',
    'relay faulty',
  ),
  ...planted(
    'short of shut',
    shutBySpring,
    'lock engaged',
    'packing too tight',
    'bottom guide blocked',
    'guides galled',
    'positioner out of set',
    'bench set wrong',
  ),
  ...planted('passes when shut', double, 'coupled short', 'debris', 'bench set wrong', 'seat worn'),
  ...planted('passes when shut', cage, 'balance seal leaks', 'seat gasket leaks', 'soft seat cut'),
  ...planted(
    'sluggish',
    piston,
    'flapper dirty',
    'relay faulty',
    'piston ring leaks',
    'cylinder seals leak',
    'packing too tight',
    'bushing worn',
  ),
  ...planted(
    'no motion',
    double,
    'supply low',
    'signal lost',
    'lock engaged',
    'relay faulty',
    'trip solenoid shut',
    'tubing leaks',
  ),
  ...planted('hunting', double, 'gain too high', 'packing too tight', 'relay faulty', 'oversize or process'),
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
export function byChecklist(planted: Planted, seed: number): Outcome {
  const { fault, symptom, features } = planted;
  const read = sickValve(fault, seed, features, symptom);
  const evidence: Evidence[] = [];
  let first: CauseId | undefined;
  for (const cause of Object.keys(SYMPTOMS[symptom].causes) as CauseId[]) {
    const check = settling(cause, planted);
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
function settling(cause: CauseId, { features, symptom }: Planted): CheckId | undefined {
  return checksFor(features, symptom)
    .filter((check) => checkOf(check).read && (checkOf(check).shows[cause] ?? 0) > 0)
    .sort((a, b) => Object.keys(checkOf(a).shows).length - Object.keys(checkOf(b).shows).length)[0];
}

/** How many checks the handbook's list for the symptom has, for valves of these features. */
export function checklistLength(planted: Planted): number {
  const causes = Object.keys(SYMPTOMS[planted.symptom].causes) as CauseId[];
  return new Set(causes.flatMap((cause) => settling(cause, planted) ?? [])).size;
}

/**
 * The finder's own way: its next check, until the fault is placed or nothing tells more. A cause named wrongly is put
 * right to no effect, and every check that is left is spent on the rest.
 */
export function byFinder({ fault, symptom, features }: Planted, seed: number): Outcome {
  const read = sickValve(fault, seed, features, symptom);
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
