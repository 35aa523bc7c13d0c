import { z } from 'zod';
import {
  CAUSE_IDS,
  CAUSES,
  causesOf,
  CHECK_IDS,
  checkOf,
  checksFor,
  findFault,
  priorsOf,
  SYMPTOM_IDS,
  symptomsOf,
  type CauseId,
  type CheckId,
  type Evidence,
  type Gauges,
  type SymptomId,
} from '../../diagnosis';
import type { Phrase } from '../../quantity';
import { PLANTED_FAULTS, sickValve, symptomWith, type Chance, type PlantedFault } from '../../simulation';
import type { Features, Valve } from '../../valve';
import type { Asked, DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('check'), check: z.enum(CHECK_IDS) }),
  z.strictObject({ do: z.literal('name'), cause: z.enum(CAUSE_IDS) }),
]);
type Move = z.output<typeof moveSchema>;

export interface WhereIsTheFault {
  readonly valve: Valve;
  readonly symptom: SymptomId;
  readonly fault: PlantedFault;
  /** What can be asked, cheapest first, and what it answers here. */
  readonly checks: readonly CheckId[];
  readonly answers: ReadonlyMap<CheckId, Answer>;
  /** What can be named. */
  readonly causes: readonly CauseId[];
}

export interface Answer {
  readonly result: number;
  /** The gauges as they stood when it was read last; of what is only looked at, none. */
  readonly gauges?: Gauges;
}

/** Minutes of a check, the way there and the writing down included. */
const EACH_MINUTES = 2;
export const minutesOf = (check: CheckId): number => EACH_MINUTES + checkOf(check).minutes;

/** How much longer than the best somebody may take for all the points, and from when on there are none. */
const [WELL, HOPELESS] = [1.5, 3];

/** What every check says of this valve: read off its gauges where it has any, else as the fault shows itself. */
function answersOf(
  fault: PlantedFault,
  symptom: SymptomId,
  features: Features,
  seed: number,
): ReadonlyMap<CheckId, Answer> {
  return new Map(
    checksFor(features, symptom).map((check) => {
      const { read, shows } = checkOf(check);
      if (!read) return [check, { result: shows[fault] ?? 0 }];
      const valve = sickValve(fault, seed, features, symptom);
      let gauges: Gauges | undefined;
      const result = read((situation) => (gauges = valve(situation)));
      return [check, { result, ...(gauges ? { gauges } : {}) }];
    }),
  );
}

const resultOf = ({ answers }: Pick<WhereIsTheFault, 'answers'>, check: CheckId): number =>
  answers.get(check)?.result ?? 0;

/** How somebody goes who always takes the check that is worth most. */
function bestPath(
  { symptom, valve }: Pick<WhereIsTheFault, 'symptom' | 'valve'>,
  answer: (check: CheckId) => number,
): { readonly checks: readonly CheckId[]; readonly named: CauseId | undefined } {
  const evidence: Evidence[] = [];
  for (;;) {
    const { next, suspects } = findFault({ symptom, features: valve.features, evidence });
    if (!next) return { checks: evidence.map(({ check }) => check), named: suspects[0]?.cause };
    evidence.push({ check: next.check, result: answer(next.check) });
  }
}

/** Everything along its chain, whether it gives this symptom or not. */
const nameable = (features: Features): CauseId[] =>
  causesOf(features).filter((cause) => cause !== 'something else');

function candidate(
  valve: Valve,
  symptom: SymptomId,
  fault: PlantedFault,
  seed: number,
): WhereIsTheFault | undefined {
  const { features } = valve;
  const answers = answersOf(fault, symptom, features, seed);
  const exercise: WhereIsTheFault = {
    ...{ valve, symptom, fault, answers },
    checks: [...answers.keys()].sort((a, b) => checkOf(a).minutes - checkOf(b).minutes),
    causes: nameable(features),
  };
  const { named, checks } = bestPath(exercise, (check) => resultOf(exercise, check));
  const evidence = checks.map((check) => ({ check, result: resultOf(exercise, check) }));
  return named === fault && isShown(exercise, evidence) ? exercise : undefined;
}

const isPlantable = (cause: CauseId): cause is PlantedFault & CauseId =>
  (PLANTED_FAULTS as readonly string[]).includes(cause);

/** Fewer faults or checks than this, and whoever guesses finds it. */
const LEAST = 3;

/** Symptoms with the faults that can be planted for them, likely ones first. */
const plantsOf = ({ features }: Valve): { symptom: SymptomId; faults: PlantedFault[] }[] =>
  symptomsOf(features).flatMap((symptom) => {
    const faults = [...priorsOf(symptom, features)]
      .sort(([, a], [, b]) => b - a)
      .flatMap(([cause]) => (isPlantable(cause) ? [cause] : []));
    const enough = faults.length >= LEAST && checksFor(features, symptom).length > LEAST;
    return enough ? [{ symptom, faults }] : [];
  });

/** The likelier half of them first, later all. */
const atLevel = (faults: readonly PlantedFault[], level: number) =>
  level <= 1 ? faults.slice(0, Math.ceil(faults.length / 2)) : faults;

const TRIES = 60;
const drawn = (dice: Chance) => Math.floor(dice.uniform() * 0xffffffff);

function make({ valve, level, dice, planted }: Asked<Planted>): WhereIsTheFault {
  const plants = plantsOf(valve);
  for (let i = 0; i < TRIES; i++) {
    const seed = drawn(dice);
    const plant = plants[Math.floor(dice.uniform() * plants.length)];
    const faults = atLevel(plant?.faults ?? [], level);
    const fault = planted?.fault ?? faults[Math.floor(dice.uniform() * faults.length)];
    const symptom = planted
      ? (planted.symptom ?? symptomWith(planted.fault, valve.features))
      : plant?.symptom;
    const made = fault && symptom && candidate(valve, symptom, fault, seed);
    if (made) return made;
  }
  return sure(valve, planted);
}

/** What chance did not find: the first of all that can be told. */
function sure(valve: Valve, planted: Planted | undefined): WhereIsTheFault {
  for (const { symptom, faults } of plantsOf(valve))
    for (const fault of faults) {
      const made = (!planted || planted.fault === fault) && candidate(valve, symptom, fault, 1);
      if (made) return made;
    }
  // A teacher's fault that the checks cannot tell apart for certain is still one to find.
  const [any] = plantsOf(valve);
  const fault = planted?.fault ?? any?.faults[0] ?? 'seat worn';
  const symptom =
    planted?.symptom ?? symptomWith(fault, valve.features) ?? any?.symptom ?? 'passes when shut';
  const answers = answersOf(fault, symptom, valve.features, 1);
  return {
    ...{ valve, symptom, fault, answers, checks: [...answers.keys()] },
    causes: nameable(valve.features),
  };
}

const checksIn = (moves: readonly Move[]): CheckId[] => [
  ...new Set(moves.flatMap((move) => (move.do === 'check' ? [move.check] : []))),
];
const namedIn = (moves: readonly Move[]): CauseId | undefined =>
  moves.flatMap((move) => (move.do === 'name' ? [move.cause] : []))[0];

/** Minutes spent so far. */
export const spent = (moves: readonly Move[]): number =>
  checksIn(moves).reduce((sum, check) => sum + minutesOf(check), 0);

/** What has been answered so far, in order. */
export const evidenceOf = (exercise: WhereIsTheFault, moves: readonly Move[]): Evidence[] =>
  checksIn(moves).map((check) => ({ check, result: resultOf(exercise, check) }));

const costOf = (checks: readonly CheckId[]): number =>
  checks.reduce((sum, check) => sum + minutesOf(check), 0);

const usual = new WeakMap<Features, Map<SymptomId, number>>();

/** What the best way costs on the average over all that a symptom can come from: the same for every exercise of it. */
function usualMinutes(valve: Valve, symptom: SymptomId): number {
  const known = usual.get(valve.features) ?? new Map<SymptomId, number>();
  usual.set(valve.features, known);
  const before = known.get(symptom);
  if (before !== undefined) return before;
  const priors = [...priorsOf(symptom, valve.features)].filter(([cause]) => cause !== 'something else');
  const all = priors.reduce((sum, [, chance]) => sum + chance, 0);
  const minutes = priors.reduce((sum, [cause, chance]) => {
    const { checks } = bestPath({ symptom, valve }, (check) => checkOf(check).shows[cause] ?? 0);
    return sum + (chance / all) * costOf(checks);
  }, 0);
  known.set(symptom, minutes);
  return minutes;
}

/**
 * The least that can be expected: what the best way costs here, and no less than what it costs on the average over all
 * that it could have been, so that nobody is held against luck.
 */
export function leastMinutes(exercise: WhereIsTheFault): number {
  const { valve, symptom } = exercise;
  const here = costOf(bestPath(exercise, (check) => resultOf(exercise, check)).checks);
  return Math.max(here, usualMinutes(valve, symptom));
}

/** An answer points at it, and all of them together at nothing more: whoever names it then has not guessed. */
function isShown({ symptom, valve, fault }: WhereIsTheFault, evidence: readonly Evidence[]): boolean {
  const pointed = evidence.some(({ check, result }) => result > 0 && checkOf(check).shows[fault] === result);
  return pointed && findFault({ symptom, features: valve.features, evidence }).suspects[0]?.cause === fault;
}

/** Took something off while every answer was normal, and less would have told more. */
function strippedEarly(exercise: WhereIsTheFault, moves: readonly Move[]): CheckId | undefined {
  const { symptom, valve } = exercise;
  const evidence = evidenceOf(exercise, moves);
  return evidence.find(({ check }, i) => {
    const before = evidence.slice(0, i);
    const takesOff = checkOf(check).invasive === 3;
    if (!takesOff || before.some(({ result }) => result > 0)) return false;
    const { next } = findFault({ symptom, features: valve.features, evidence: before });
    return next !== undefined && checkOf(next.check).invasive < 3;
  })?.check;
}

function saidOf(exercise: WhereIsTheFault, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (!move) return undefined;
  if (move.do === 'name')
    return move.cause === exercise.fault
      ? { right: true, words: `${CAUSES[move.cause].name}: so it is. ${CAUSES[move.cause].then}` }
      : {
          right: false,
          words: `Not ${CAUSES[move.cause].name.toLowerCase()}: it was ${CAUSES[exercise.fault].name.toLowerCase()}.`,
        };
  const { results } = checkOf(move.check);
  const result = results[resultOf(exercise, move.check)] ?? results[0];
  const early = strippedEarly(exercise, moves) === move.check;
  return early
    ? {
        right: false,
        words: `${result}. Taken apart while everything read so far was normal: look and read first.`,
      }
    : { right: true, words: `${result}.` };
}

function mark(exercise: WhereIsTheFault, moves: readonly Move[]): MarkLine[] {
  const named = namedIn(moves);
  const least = leastMinutes(exercise);
  const took = spent(moves);
  const times = took / least;
  const early = strippedEarly(exercise, moves);
  const found = named === exercise.fault;
  const shown = found && isShown(exercise, evidenceOf(exercise, moves));
  const inTime = Math.max(0, Math.min(1, (HOPELESS - times) / (HOPELESS - WELL)));
  return [
    allOrNone(
      'The fault',
      30,
      found,
      `It was: ${CAUSES[exercise.fault].name.toLowerCase()}. ${CAUSES[exercise.fault].then}`,
    ),
    allOrNone('Shown, not guessed', 30, shown, 'What was read points at it more than at anything else.'),
    {
      what: 'In little time',
      of: 20,
      points: shown ? 20 * inTime : 0,
      said: `${Math.round(took)} min; the least to be expected is ${Math.round(least)} min, and half as much again is as good.`,
    },
    allOrNone(
      'Nothing taken apart on normal answers',
      20,
      shown && early === undefined,
      early === undefined
        ? 'Looked, read and tried before anything came off.'
        : `${checkOf(early).title}: too early.`,
    ),
  ];
}

function hint(exercise: WhereIsTheFault, moves: readonly Move[]): Phrase {
  const evidence = evidenceOf(exercise, moves);
  const { next, suspects } = findFault({
    symptom: exercise.symptom,
    features: exercise.valve.features,
    evidence,
  });
  if (next) return `${checkOf(next.check).title}: it ${next.reason}.`;
  const [first] = suspects;
  return first ? `What is left points at the ${CAUSES[first.cause].link}.` : 'Look again at what was read.';
}

const plantedSchema = z.strictObject({
  fault: z.enum(PLANTED_FAULTS),
  symptom: z.enum(SYMPTOM_IDS).optional(),
});
type Planted = z.output<typeof plantedSchema>;

export const whereIsTheFault: DrillKind<WhereIsTheFault, Move, Planted> = {
  id: 'where-is-the-fault',
  title: 'Where is the fault?',
  teaches:
    'The cheapest check that splits the chain in two comes first; nothing is taken apart while all that is read is normal.',
  minutes: 5,
  of: (valve) => plantsOf(valve).length > 0,
  move: moveSchema,
  planted: plantedSchema,
  make,
  said: saidOf,
  ended: (_, moves) => namedIn(moves) !== undefined,
  mark,
  best: (exercise) => {
    const { checks, named } = bestPath(exercise, (check) => resultOf(exercise, check));
    return [
      ...checks.map((check): Move => ({ do: 'check', check })),
      { do: 'name', cause: named ?? exercise.fault },
    ];
  },
  hint,
};
