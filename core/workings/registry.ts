import { refuse, type Result } from '../problem';
import { actuatorBalance } from './actuator-balance';
import { actuatorSeatLoad } from './actuator-seat-load';
import { bluingRead } from './bluing-read';
import { boltingCrowfoot } from './bolting-crowfoot';
import { boltingSequence } from './bolting-sequence';
import { boltingStressArea } from './bolting-stress-area';
import { boltingTorque } from './bolting-torque';
import { boltingTorqueLong } from './bolting-torque-long';
import { boreWear } from './bore-wear';
import { elastomerCompatibility } from './elastomer-compatibility';
import { flangeBolting } from './flange-bolting';
import { flowGas } from './flow-gas';
import { flowLiquid } from './flow-liquid';
import { gasketLoad } from './gasket-load';
import { intervalNext } from './interval-next';
import { lappingPlan } from './lapping-plan';
import { latheSpeed } from './lathe-speed';
import { leakAllowance } from './leak-allowance';
import { leverWeight } from './lever-weight';
import { mediumHazard } from './medium-hazard';
import { oringFit } from './oring-fit';
import { packingGland } from './packing-gland';
import { packingRings } from './packing-rings';
import { positionerStroke } from './positioner-stroke';
import { valveReplacement } from './valve-replacement';
import { ratingPressure } from './rating-pressure';
import { reliefSet } from './relief-set';
import { reliefShearPin } from './relief-shear-pin';
import { repairOrRenew } from './repair-or-renew';
import { seatContact } from './seat-contact';
import { seatReface } from './seat-reface';
import { signalTravel } from './signal-travel';
import { signatureAnalyse } from './signature-analyse';
import { springRate } from './spring-rate';
import { stemRunout } from './stem-runout';
import { storedEnergy } from './stored-energy';
import { testPressures } from './test-pressures';
import { register, type RegisteredWorking } from './working';

/** Workings that belong together, as the index of a handbook would list them. */
export interface Subject {
  readonly name: string;
  readonly workings: readonly RegisteredWorking[];
}

export const SUBJECTS: readonly Subject[] = [
  {
    name: 'Bolting',
    workings: [
      register(boltingTorque),
      register(boltingSequence),
      register(boltingCrowfoot),
      register(flangeBolting),
      register(boltingTorqueLong),
      register(boltingStressArea),
      register(gasketLoad),
    ],
  },
  {
    name: 'Packing and seals',
    workings: [
      register(packingRings),
      register(packingGland),
      register(oringFit),
      register(elastomerCompatibility),
    ],
  },
  {
    name: 'Measuring',
    workings: [register(stemRunout), register(boreWear), register(springRate)],
  },
  {
    name: 'Seats',
    workings: [
      register(seatContact),
      register(bluingRead),
      register(lappingPlan),
      register(seatReface),
      register(latheSpeed),
    ],
  },
  {
    name: 'Pressure and tests',
    workings: [
      register(ratingPressure),
      register(testPressures),
      register(leakAllowance),
      register(storedEnergy),
    ],
  },
  {
    name: 'Actuators and flow',
    workings: [
      register(signalTravel),
      register(actuatorBalance),
      register(actuatorSeatLoad),
      register(positionerStroke),
      register(signatureAnalyse),
      register(flowLiquid),
      register(flowGas),
    ],
  },
  {
    name: 'Relief and levers',
    workings: [register(reliefSet), register(reliefShearPin), register(leverWeight)],
  },
  {
    name: 'Decisions and safety',
    workings: [
      register(repairOrRenew),
      register(valveReplacement),
      register(intervalNext),
      register(mediumHazard),
    ],
  },
];

/** Every working there is, in the order a list shows them. */
export const WORKINGS: readonly RegisteredWorking[] = SUBJECTS.flatMap(({ workings }) => workings);

export function findWorking(id: string): Result<RegisteredWorking> {
  const found = WORKINGS.find((working) => working.id === id);
  return found
    ? { ok: true, value: found }
    : refuse({ code: 'working.unknown', id, known: WORKINGS.map((each) => each.id) });
}

/**
 * Workings that answer to what a person typed, best first; all of them for an empty search. A word counts most in what
 * people ask for, then in the title, then anywhere.
 */
export function searchWorkings(text: string): RegisteredWorking[] {
  const typed = plain(text);
  const words = typed.split(' ').filter(Boolean);
  if (words.length === 0) return [...WORKINGS];
  const score = (working: RegisteredWorking) => {
    const asked = working.asks.map(plain);
    const phrase = asked.some((ask) => ask.includes(typed)) ? 6 : 0;
    const told = [
      { weight: 3, text: asked.join(' ') },
      { weight: 2, text: plain(`${working.title} ${working.id}`) },
      { weight: 1, text: plain(working.meaning) },
    ];
    return words.reduce(
      (sum, word) => sum + Math.max(0, ...told.map((each) => (hasWord(each.text, word) ? each.weight : 0))),
      phrase,
    );
  };
  return WORKINGS.map((working) => ({ working, score: score(working) }))
    .filter(({ score: found }) => found > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ working }) => working);
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[-.,/]/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** A word, or the beginning of one. */
const hasWord = (text: string, word: string) => ` ${text}`.includes(` ${word}`);
