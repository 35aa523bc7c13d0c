import type { SealLubricant } from '../standards';

/** What matters about a consumable besides its name. */
interface Consumable {
  /** Oil, grease, or what is made with it: never near oxygen. */
  readonly oily?: true;
  /** What it is to an elastomer that it touches. */
  readonly lubricant?: SealLubricant;
}

/** Every consumable that a step asks for. */
const CONSUMABLES = {
  '45° cut packing rope': {},
  'anaerobic threadlocker': { oily: true },
  'bearing grease': { oily: true, lubricant: 'mineral grease' },
  'body cavity grease': { oily: true, lubricant: 'mineral grease' },
  'bonnet gasket, compressed-fibre': {},
  'bonnet gasket, spiral-wound': {},
  'braided packing': {},
  'calcium sulphonate grease': { oily: true, lubricant: 'mineral grease' },
  'die-formed packing': {},
  'fine cloth': {},
  'flange gaskets (2)': {},
  'food-grade anti-seize': { oily: true },
  'food-grade grease': { oily: true, lubricant: 'silicone grease' },
  'graphite paste for hot threads': {},
  'graphite thread sealant': {},
  'grease for the elastomer': { oily: true, lubricant: 'silicone grease' },
  'high-temperature anaerobic threadlocker': { oily: true },
  'high-strength wicking anaerobic threadlocker': { oily: true },
  'housing oil': { oily: true },
  'lapping compound 120': { oily: true },
  'lapping compound 240': { oily: true },
  'lapping compound 500': { oily: true },
  'lapping compound 900': { oily: true },
  'leak-detecting soap': {},
  'lint-free cloth': {},
  'lithium complex grease': { oily: true, lubricant: 'mineral grease' },
  'medium-strength anaerobic threadlocker': { oily: true },
  'molybdenum disulphide paste': { oily: true, lubricant: 'mineral grease' },
  'nickel anti-seize': { oily: true },
  'O-ring lubricant for the elastomer': { oily: true, lubricant: 'silicone grease' },
  'oxygen-compatible lubricant from the site’s list': {},
  'packing lubricant stick for the service': { oily: true },
  'packing solvent': {},
  'plug valve sealant for heat': { oily: true },
  'plug valve sealant for water and brine': { oily: true },
  'plug valve sealant insoluble in hydrocarbons': { oily: true, lubricant: 'PTFE grease' },
  'plug valve sealant, grade by medium and temperature': { lubricant: 'PTFE grease' },
  rags: {},
  'service grease': { oily: true, lubricant: 'mineral grease' },
  'service-rated lubricant': { oily: true, lubricant: 'mineral grease' },
  'silicone grease': { oily: true, lubricant: 'silicone grease' },
  'silicone oil or soap solution': { oily: true, lubricant: 'soap solution' },
  solvent: {},
  'spotting blue': {},
  'stem grease for the service': { oily: true, lubricant: 'mineral grease' },
  'tab or locking wire: no threadlocker holds this hot': {},
  'thread sealant': { lubricant: 'PTFE grease' },
  'two braided end rings, two die-formed rings': {},
  'v-ring packing': {},
  'white lithium grease': { oily: true, lubricant: 'white lithium grease' },
} as const satisfies Readonly<Record<string, Consumable>>;

export type ConsumableName = keyof typeof CONSUMABLES;

/** What matters about a consumable. */
export const consumableOf = (name: ConsumableName): Consumable => CONSUMABLES[name];
