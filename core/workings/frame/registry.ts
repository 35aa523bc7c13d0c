import { refuse, type Result } from '../../problem';
import { actuatorBalance } from '../actuators/actuator-balance';
import { actuatorSeatLoad } from '../actuators/actuator-seat-load';
import { bluingRead } from '../seats/bluing-read';
import { boltingCrowfoot } from '../bolting/bolting-crowfoot';
import { boltingSequence } from '../bolting/bolting-sequence';
import { boltingStressArea } from '../bolting/bolting-stress-area';
import { boltingTorque } from '../bolting/bolting-torque';
import { boltingTorqueLong } from '../bolting/bolting-torque-long';
import { boreWear } from '../measuring/bore-wear';
import { elastomerCompatibility } from '../seals/elastomer-compatibility';
import { flangeBolting } from '../bolting/flange-bolting';
import { flowGas } from '../actuators/flow-gas';
import { flowLiquid } from '../actuators/flow-liquid';
import { gasketLoad } from '../bolting/gasket-load';
import { intervalNext } from '../decisions/interval-next';
import { lifeSurvival } from '../life/life-survival';
import { lifeTrend } from '../life/life-trend';
import { lifeWeibull } from '../life/life-weibull';
import { stockOrderPoint } from '../life/order-point';
import { lappingPlan } from '../seats/lapping-plan';
import { latheSpeed } from '../seats/lathe-speed';
import { leakAllowance } from '../pressure/leak-allowance';
import { leverWeight } from '../relief/lever-weight';
import { mediumHazard } from '../decisions/medium-hazard';
import { oringFit } from '../seals/oring-fit';
import { packingGland } from '../seals/packing-gland';
import { packingRings } from '../seals/packing-rings';
import { positionerStroke } from '../actuators/positioner-stroke';
import { valveReplacement } from '../decisions/valve-replacement';
import { ratingPressure } from '../pressure/rating-pressure';
import { reliefSet } from '../relief/relief-set';
import { reliefShearPin } from '../relief/relief-shear-pin';
import { repairOrRenew } from '../decisions/repair-or-renew';
import { seatContact } from '../seats/seat-contact';
import { seatReface } from '../seats/seat-reface';
import { signalTravel } from '../actuators/signal-travel';
import { signatureAnalyse } from '../actuators/signature-analyse';
import { springRate } from '../measuring/spring-rate';
import { stemRunout } from '../measuring/stem-runout';
import { storedEnergy } from '../pressure/stored-energy';
import { testPressures } from '../pressure/test-pressures';
import { boltingJoint } from '../bolting/bolting-joint';
import { boltingStretch } from '../bolting/bolting-stretch';
import { leakConvert } from '../pressure/leak-convert';
import { reliefTestSheet } from '../relief/relief-test-sheet';
import { seatWedgeDrop } from '../seats/wedge-drop';
import { actuatorCoupling } from '../actuators/coupling';
import { actuatorBenchSweep } from '../actuators/bench-sweep';
import { actuatorBenchSet } from '../actuators/bench-set';
import { actuatorStrokeTime } from '../actuators/stroke-time';
import { stemThrust } from '../actuators/stem-thrust';
import { gateThrust } from '../actuators/gate-thrust';
import { quarterTurnTorque } from '../actuators/quarter-turn-torque';
import { flowCavitation } from '../actuators/flow-cavitation';
import { oringGroove } from '../seals/oring-groove';
import { glandLiveLoad } from '../seals/gland-live-load';
import { liftingSling } from '../decisions/lifting-sling';
import { fitClearance } from '../measuring/fit-clearance';
import { stemWear } from '../measuring/stem-wear';
import { springLength } from '../measuring/spring-length';
import { seatRings } from '../seats/seat-rings';
import { positionerScrews } from '../actuators/positioner-screws';
import { settingTurns } from '../actuators/setting-turns';
import { regulatorLockUp } from '../pressure/regulator-lock-up';
import { turningTorque } from '../actuators/turning-torque';
import { fitInterference } from '../measuring/fit-interference';
import { hardnessConvert } from '../measuring/hardness-convert';
import { hydrotestTrapped } from '../pressure/hydrotest-trapped';
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
      register(boltingJoint),
      register(boltingStretch),
    ],
  },
  {
    name: 'Packing and seals',
    workings: [
      register(packingRings),
      register(packingGland),
      register(glandLiveLoad),
      register(oringFit),
      register(oringGroove),
      register(elastomerCompatibility),
    ],
  },
  {
    name: 'Measuring',
    workings: [
      register(stemRunout),
      register(boreWear),
      register(stemWear),
      register(fitClearance),
      register(springLength),
      register(springRate),
      register(fitInterference),
      register(hardnessConvert),
    ],
  },
  {
    name: 'Seats',
    workings: [
      register(seatContact),
      register(bluingRead),
      register(lappingPlan),
      register(seatReface),
      register(seatWedgeDrop),
      register(seatRings),
      register(latheSpeed),
    ],
  },
  {
    name: 'Pressure and tests',
    workings: [
      register(ratingPressure),
      register(testPressures),
      register(leakAllowance),
      register(leakConvert),
      register(storedEnergy),
      register(hydrotestTrapped),
    ],
  },
  {
    name: 'Actuators and flow',
    workings: [
      register(signalTravel),
      register(actuatorBalance),
      register(actuatorBenchSet),
      register(actuatorBenchSweep),
      register(actuatorCoupling),
      register(actuatorSeatLoad),
      register(actuatorStrokeTime),
      register(stemThrust),
      register(gateThrust),
      register(quarterTurnTorque),
      register(turningTorque),
      register(regulatorLockUp),
      register(settingTurns),
      register(positionerScrews),
      register(positionerStroke),
      register(signatureAnalyse),
      register(flowLiquid),
      register(flowGas),
      register(flowCavitation),
    ],
  },
  {
    name: 'Relief and levers',
    workings: [
      register(reliefSet),
      register(reliefTestSheet),
      register(reliefShearPin),
      register(leverWeight),
    ],
  },
  {
    name: 'Decisions and safety',
    workings: [
      register(repairOrRenew),
      register(valveReplacement),
      register(liftingSling),
      register(mediumHazard),
    ],
  },
  {
    name: 'Life and spares',
    workings: [
      register(intervalNext),
      register(lifeTrend),
      register(lifeWeibull),
      register(lifeSurvival),
      register(stockOrderPoint),
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
