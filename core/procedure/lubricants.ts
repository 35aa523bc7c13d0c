import { valueIn } from '../quantity';
import { mediumOf, type SealMedium } from '../standards';
import type { Valve } from '../valve';
import type { ConsumableName } from './consumables';

const WATERY: readonly SealMedium[] = ['water', 'hot water', 'steam', 'brine', 'glycol', 'caustic'];
const HYDROCARBON: readonly SealMedium[] = [
  'natural gas',
  'crude oil',
  'mineral oil',
  'hydrogen sulphide',
  'methanol',
];

/** What a lubricant, a sealant or a threadlocker is chosen by. */
interface Service {
  /** As hot as it gets there, °C; as hot as usual where nobody says. */
  readonly celsius: number;
  readonly isWatery: boolean;
  readonly isHydrocarbon: boolean;
  readonly isFood: boolean;
}

/** Steam and what is marked hot are taken as hot as a low-pressure line of them (common practice). */
const HOT = 180;
const WARM = 40;

function serviceOf({ medium, features }: Valve): Service {
  const seal = medium && mediumOf(medium.name)?.seal;
  const isHot = seal === 'steam' || medium?.hazards.includes('hot') === true;
  return {
    celsius: medium?.temperature ? valueIn(medium.temperature, '°C') : isHot ? HOT : WARM,
    isWatery: seal !== undefined && WATERY.includes(seal),
    isHydrocarbon: seal !== undefined && HYDROCARBON.includes(seal),
    isFood: features.lubrication.kind === 'food-grade' || seal === 'food oil',
  };
}

/** Metal on metal under load: what stays there in this heat and is not washed out (common practice). */
function greaseFor({ celsius, isWatery, isFood }: Service): ConsumableName {
  if (isFood) return 'food-grade grease';
  if (celsius >= 200) return 'graphite paste for hot threads';
  if (celsius >= 120) return 'molybdenum disulphide paste';
  return isWatery ? 'calcium sulphonate grease' : 'lithium complex grease';
}

function sealantFor({ celsius, isWatery, isHydrocarbon }: Service): ConsumableName | undefined {
  if (celsius >= 150) return 'plug valve sealant for heat';
  if (isWatery) return 'plug valve sealant for water and brine';
  return isHydrocarbon ? 'plug valve sealant insoluble in hydrocarbons' : undefined;
}

/** Most anaerobic threadlockers let go from about 150 °C, the hot grades from about 230 °C (common practice, from memory). */
function lockFor({ celsius }: Service): ConsumableName | undefined {
  if (celsius >= 230) return 'tab or locking wire: no threadlocker holds this hot';
  return celsius >= 150 ? 'high-temperature anaerobic threadlocker' : undefined;
}

const CHOSEN: Partial<Record<ConsumableName, (service: Service) => ConsumableName | undefined>> = {
  'stem grease for the service': greaseFor,
  'service grease': greaseFor,
  'service-rated lubricant': greaseFor,
  'bearing grease': greaseFor,
  'grease for the elastomer': () => 'silicone grease',
  'O-ring lubricant for the elastomer': () => 'silicone grease',
  'plug valve sealant, grade by medium and temperature': sealantFor,
  'anaerobic threadlocker': lockFor,
  'medium-strength anaerobic threadlocker': lockFor,
  'high-strength wicking anaerobic threadlocker': lockFor,
  'thread sealant': ({ celsius }) => (celsius >= 200 ? 'graphite thread sealant' : undefined),
  'nickel anti-seize': ({ isFood }) => (isFood ? 'food-grade anti-seize' : undefined),
};

/** What is fetched for this valve where a step asks for a kind: by medium, heat, seal and place. */
export function chosenFor(valve: Valve, names: readonly ConsumableName[]): readonly ConsumableName[] {
  const service = serviceOf(valve);
  return [...new Set(names.map((name) => CHOSEN[name]?.(service) ?? name))];
}
