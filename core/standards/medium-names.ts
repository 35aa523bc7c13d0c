import type { SealMedium } from './elastomer';
import type { HazardousMedium } from './medium-hazard';

/** What a name on a nameplate, a permit or a data sheet stands for. */
export interface NamedMedium {
  /** What it does to whoever opens the valve. */
  readonly hazard: HazardousMedium;
  /** What it is to an elastomer; absent where the name does not tell. */
  readonly seal?: SealMedium;
}

const as = (hazard: HazardousMedium, seal?: SealMedium): NamedMedium =>
  seal === undefined ? { hazard } : { hazard, seal };

const HOT_WATER = as('hot water', 'hot water');
const GAS = as('natural gas', 'natural gas');

/** Names by whole words (common practice). Where two fit, the longer says more: boiler feed water is no boiler and no water. */
const NAMES: Readonly<Record<string, NamedMedium>> = {
  h2s: as('hydrogen sulphide', 'hydrogen sulphide'),
  'hydrogen sulphide': as('hydrogen sulphide', 'hydrogen sulphide'),
  'hydrogen sulfide': as('hydrogen sulphide', 'hydrogen sulphide'),
  sour: as('hydrogen sulphide', 'hydrogen sulphide'),
  'sour gas': as('hydrogen sulphide', 'hydrogen sulphide'),
  'sour crude': as('hydrogen sulphide', 'hydrogen sulphide'),
  'sour water': as('hydrogen sulphide', 'hydrogen sulphide'),
  gas: GAS,
  'natural gas': GAS,
  'fuel gas': GAS,
  'lift gas': GAS,
  'gas lift': GAS,
  'wet gas': GAS,
  'gas condensate': GAS,
  'condensate gas': GAS,
  methane: GAS,
  crude: as('crude oil', 'crude oil'),
  'crude oil': as('crude oil', 'crude oil'),
  condensate: as('crude oil'),
  oil: as('crude oil', 'mineral oil'),
  steam: as('steam', 'steam'),
  vapour: as('steam', 'steam'),
  'steam condensate': HOT_WATER,
  'condensate return': HOT_WATER,
  'hot water': HOT_WATER,
  'heating water': HOT_WATER,
  heating: HOT_WATER,
  'district heating': HOT_WATER,
  boiler: HOT_WATER,
  'boiler water': HOT_WATER,
  feedwater: HOT_WATER,
  'feed water': HOT_WATER,
  'boiler feed water': HOT_WATER,
  'boiler feedwater': HOT_WATER,
  oxygen: as('oxygen', 'oxygen'),
  ammonia: as('ammonia'),
  chlorine: as('chlorine'),
  'sulphur dioxide': as('sulphur dioxide'),
  'sulfur dioxide': as('sulphur dioxide'),
  so2: as('sulphur dioxide'),
  'sugar sulphitation gas': as('sulphur dioxide'),
  'carbon monoxide': as('carbon monoxide'),
  co: as('carbon monoxide'),
  'flue gas': as('carbon monoxide'),
  'blast furnace gas': as('carbon monoxide'),
  benzene: as('benzene'),
  'hydraulic oil': as('crude oil', 'mineral oil'),
  'carbon dioxide': as('carbon dioxide'),
  co2: as('carbon dioxide'),
  nitrogen: as('nitrogen', 'nitrogen'),
  hydrogen: as('hydrogen'),
  caustic: as('caustic', 'caustic'),
  'caustic soda': as('caustic', 'caustic'),
  soda: as('caustic', 'caustic'),
  lye: as('caustic', 'caustic'),
  acid: as('acid'),
  amine: as('amine', 'amines'),
  glycol: as('amine', 'glycol'),
  methanol: as('methanol', 'methanol'),
  alcohol: as('methanol'),
  brine: as('brine', 'brine'),
  'salt water': as('brine', 'brine'),
  'produced water': as('brine', 'brine'),
  air: as('air', 'air'),
  water: as('water', 'water'),
  juice: as('water', 'hot water'),
  syrup: as('water', 'hot water'),
  sugar: as('water', 'hot water'),
};

const BY_NAME = Object.entries(NAMES);
const LONGEST = Math.max(...BY_NAME.map(([name]) => name.split(' ').length));
/** Of names that were met before: every step of every plan asks for the same few. */
const met = new Map<string, NamedMedium | undefined>();

/**
 * The medium that a name means, by its whole words: the name of most words in it, and of two as long the one that does
 * more harm, which stands first. Undefined where nobody knows it: it is asked, and treated as hazardous.
 */
export function mediumOf(name: string): NamedMedium | undefined {
  if (!met.has(name)) {
    // Names are typed by people: a server that runs for years keeps no list of all of them.
    if (met.size >= 1000) met.clear();
    met.set(name, named(name));
  }
  return met.get(name);
}

function named(name: string): NamedMedium | undefined {
  const words = name.toLowerCase().match(/[a-z0-9]+/g) ?? [];
  for (let length = Math.min(LONGEST, words.length); length > 0; length--) {
    const found = new Set(
      words.flatMap((_, i) => (i + length > words.length ? [] : [words.slice(i, i + length).join(' ')])),
    );
    const known = BY_NAME.find(([each]) => found.has(each));
    if (known) return known[1];
  }
  return undefined;
}
