import { refuse, type Result } from '../problem';
import { actuatorBalance } from './actuator-balance';
import { actuatorSeatLoad } from './actuator-seat-load';
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

/** Every working there is, in the order a list shows them. */
export const WORKINGS: readonly RegisteredWorking[] = [
  register(boltingTorque),
  register(boltingTorqueLong),
  register(boltingStressArea),
  register(boltingSequence),
  register(boltingCrowfoot),
  register(flangeBolting),
  register(gasketLoad),
  register(packingRings),
  register(packingGland),
  register(oringFit),
  register(elastomerCompatibility),
  register(stemRunout),
  register(boreWear),
  register(springRate),
  register(latheSpeed),
  register(seatReface),
  register(seatContact),
  register(lappingPlan),
  register(ratingPressure),
  register(testPressures),
  register(leakAllowance),
  register(storedEnergy),
  register(flowLiquid),
  register(flowGas),
  register(signalTravel),
  register(actuatorBalance),
  register(actuatorSeatLoad),
  register(positionerStroke),
  register(signatureAnalyse),
  register(reliefSet),
  register(reliefShearPin),
  register(leverWeight),
  register(repairOrRenew),
  register(intervalNext),
  register(mediumHazard),
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
