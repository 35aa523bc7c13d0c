import { COMMON_PRACTICE, standard, type Source } from './source';

/** Elastomers against media, lubricants, temperature and age. Ratings are general: the maker's compound sheet wins. */
export const ELASTOMER_PRACTICE: Source = {
  ...COMMON_PRACTICE,
  name: 'Common practice for elastomers',
  fromMemory: 'medium',
};

export const ELASTOMERS = [
  'NBR',
  'HNBR',
  'EPDM',
  'FKM',
  'FKM steam grade',
  'FEPM',
  'FFKM',
  'CR',
  'silicone',
  'PTFE',
  'NR',
  'SBR',
  'PU',
] as const;
export type Elastomer = (typeof ELASTOMERS)[number];

export const SEAL_MEDIA = [
  'air',
  'nitrogen',
  'water',
  'hot water',
  'steam',
  'natural gas',
  'hydrogen sulphide',
  'crude oil',
  'mineral oil',
  'glycol',
  'brake fluid',
  'amines',
  'ketones',
  'methanol',
  'ozone',
  'caustic',
  'brine',
  'food oil',
  'oxygen',
] as const;
export type SealMedium = (typeof SEAL_MEDIA)[number];

export const SEAL_LUBRICANTS = [
  'none',
  'mineral oil',
  'mineral grease',
  'silicone oil',
  'silicone grease',
  'soap solution',
  'white lithium grease',
  'PTFE grease',
] as const;
export type SealLubricant = (typeof SEAL_LUBRICANTS)[number];

export interface ElastomerData {
  /** Usual range in service, °C. */
  readonly lowCelsius: number;
  readonly highCelsius: number;
  /** Media that are wrong, and those to be asked about, with the reason; all others of the list are good. */
  readonly no: Partial<Record<SealMedium, string>>;
  readonly ask: Partial<Record<SealMedium, string>>;
  /** Warmest that it stands in a medium where that is less than its range, °C. */
  readonly mostIn?: Partial<Record<SealMedium, number>>;
  readonly noLubricant: Partial<Record<SealLubricant, string>>;
  readonly askLubricant?: Partial<Record<SealLubricant, string>>;
  /** Years of storage from the cure date by each school; `years + extension` under ISO 2230, unlimited = undefined. */
  readonly shelf: {
    readonly iso2230?: { years: number; extension: number };
    readonly as5316?: number | 'unlimited';
  };
}

const SWELLS_IN_OIL = 'swells and softens in mineral oil';
const OIL_BASED = {
  'mineral oil': SWELLS_IN_OIL,
  'mineral grease': SWELLS_IN_OIL,
  'white lithium grease': SWELLS_IN_OIL,
} as const;
const OXYGEN_ASK = 'oxygen service takes only a compound tested for it, clean and without oil or grease';

export const ELASTOMER_DATA: Readonly<Record<Elastomer, ElastomerData>> = {
  NBR: {
    lowCelsius: -30,
    highCelsius: 100,
    no: {
      ozone: 'cracks in ozone',
      'brake fluid': 'swells in brake fluid',
      ketones: 'dissolves in ketones',
      steam: 'hardens in steam',
    },
    ask: {
      'hydrogen sulphide': 'hardens in sour gas above a few percent',
      amines: 'depends on the amine and its heat',
      'hot water': 'good to about 80 °C only',
      oxygen: OXYGEN_ASK,
    },
    mostIn: { 'hot water': 80 },
    noLubricant: {},
    shelf: { iso2230: { years: 7, extension: 3 }, as5316: 15 },
  },
  HNBR: {
    lowCelsius: -30,
    highCelsius: 150,
    no: { ketones: 'dissolves in ketones', 'brake fluid': 'swells in brake fluid' },
    ask: { steam: 'to about 120 °C only', 'hydrogen sulphide': 'by the grade', oxygen: OXYGEN_ASK },
    mostIn: { steam: 120 },
    noLubricant: {},
    shelf: { iso2230: { years: 7, extension: 3 }, as5316: 15 },
  },
  EPDM: {
    lowCelsius: -45,
    highCelsius: 150,
    no: {
      'mineral oil': SWELLS_IN_OIL,
      'crude oil': SWELLS_IN_OIL,
      'natural gas': 'swells in hydrocarbons',
      'food oil': 'swells in oils and fats',
    },
    ask: { 'hydrogen sulphide': 'only where no hydrocarbons come with it', oxygen: OXYGEN_ASK },
    askLubricant: { 'PTFE grease': 'most have a mineral-oil base: its sheet decides' },
    noLubricant: OIL_BASED,
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  FKM: {
    lowCelsius: -20,
    highCelsius: 200,
    no: {
      steam: 'breaks down in steam unless it is a steam grade',
      'hot water': 'breaks down in hot water unless it is a steam grade',
      amines: 'attacked by amines',
      ketones: 'dissolves in ketones',
      'brake fluid': 'swells in brake fluid',
    },
    ask: {
      'hydrogen sulphide': 'amines and steam often come with it',
      methanol: 'by the grade',
      caustic: 'attacked when strong and hot',
      oxygen: OXYGEN_ASK,
    },
    noLubricant: {},
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  'FKM steam grade': {
    lowCelsius: -10,
    highCelsius: 200,
    no: {
      amines: 'attacked by amines',
      ketones: 'dissolves in ketones',
      'brake fluid': 'swells in brake fluid',
    },
    ask: { caustic: 'by the grade', oxygen: OXYGEN_ASK },
    noLubricant: {},
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  FEPM: {
    lowCelsius: -5,
    highCelsius: 200,
    no: { ketones: 'swells in ketones' },
    ask: { 'crude oil': 'swells a little: by the grade', 'brake fluid': 'by the grade', oxygen: OXYGEN_ASK },
    noLubricant: {},
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  FFKM: {
    lowCelsius: -15,
    highCelsius: 260,
    no: {},
    ask: {
      steam: 'by the grade: some swell in hot steam',
      amines: 'by the grade',
      oxygen: OXYGEN_ASK,
    },
    noLubricant: {},
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  CR: {
    lowCelsius: -40,
    highCelsius: 100,
    no: {
      ketones: 'dissolves in ketones',
      steam: 'hardens in steam',
    },
    ask: {
      'brake fluid': 'fair: by the grade',
      'mineral oil': 'swells a little',
      'crude oil': 'swells',
      'hot water': 'to about 80 °C',
      oxygen: OXYGEN_ASK,
    },
    mostIn: { 'hot water': 80 },
    noLubricant: {},
    shelf: { iso2230: { years: 7, extension: 3 }, as5316: 15 },
  },
  silicone: {
    lowCelsius: -55,
    highCelsius: 200,
    no: {
      steam: 'reverts in steam',
      'crude oil': 'swells in crude',
      ketones: 'swells in ketones',
    },
    ask: {
      'hydrogen sulphide': 'by the grade',
      'mineral oil': 'swells; low strength',
      'natural gas': 'lets gas through',
      oxygen: OXYGEN_ASK,
    },
    noLubricant: {
      'silicone oil': 'silicone oil swells silicone rubber',
      'silicone grease': 'silicone oil swells silicone rubber',
    },
    shelf: { iso2230: { years: 10, extension: 5 }, as5316: 'unlimited' },
  },
  PTFE: {
    lowCelsius: -200,
    highCelsius: 230,
    no: {},
    ask: { oxygen: OXYGEN_ASK },
    noLubricant: {},
    shelf: {},
  },
  NR: {
    lowCelsius: -50,
    highCelsius: 80,
    no: {
      'mineral oil': SWELLS_IN_OIL,
      'crude oil': SWELLS_IN_OIL,
      'natural gas': 'swells in hydrocarbons',
      'food oil': 'swells in oils and fats',
      ozone: 'cracks in ozone',
      steam: 'softens in steam',
    },
    ask: { 'hydrogen sulphide': 'hardens in it', 'hot water': 'to about 70 °C', oxygen: OXYGEN_ASK },
    mostIn: { 'hot water': 70 },
    noLubricant: OIL_BASED,
    shelf: { iso2230: { years: 5, extension: 2 } },
  },
  SBR: {
    lowCelsius: -45,
    highCelsius: 90,
    no: {
      'mineral oil': SWELLS_IN_OIL,
      'crude oil': SWELLS_IN_OIL,
      'natural gas': 'swells in hydrocarbons',
      'food oil': 'swells in oils and fats',
      ozone: 'cracks in ozone',
      steam: 'softens in steam',
    },
    ask: { 'hydrogen sulphide': 'hardens in it', oxygen: OXYGEN_ASK },
    noLubricant: OIL_BASED,
    shelf: { iso2230: { years: 5, extension: 2 }, as5316: 3 },
  },
  PU: {
    lowCelsius: -40,
    highCelsius: 80,
    no: {
      steam: 'hydrolyses in steam',
      'hot water': 'hydrolyses in hot water',
      ketones: 'dissolves in ketones',
      amines: 'attacked by amines',
      'brake fluid': 'swells in brake fluid',
      methanol: 'softens in alcohols',
    },
    ask: {
      'hydrogen sulphide': 'by the grade',
      glycol: 'mixed with water some grades hydrolyse',
      caustic: 'attacked when strong or hot',
      water: 'by the grade: some hydrolyse slowly',
      oxygen: OXYGEN_ASK,
    },
    noLubricant: {},
    shelf: { iso2230: { years: 5, extension: 2 }, as5316: 5 },
  },
};

export const AS5316 = standard('SAE AS5316', 'storage of elastomer seals');
export const SHELF_SCHOOLS = ['ISO 2230', 'AS5316'] as const;
export type ShelfSchool = (typeof SHELF_SCHOOLS)[number];
