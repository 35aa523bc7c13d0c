import { COMMON_PRACTICE, type Source } from './source';

/** What media do to whoever opens the valve, and what guards against it. The safety data sheet and the permit win. */
export const HAZARD_PRACTICE: Source = {
  ...COMMON_PRACTICE,
  name: 'Safety data of common media (H2S: ACGIH, OSHA, NIOSH)',
  fromMemory: 'medium',
};

export const HAZARDOUS_MEDIA = [
  'hydrogen sulphide',
  'natural gas',
  'crude oil',
  'steam',
  'hot water',
  'oxygen',
  'ammonia',
  'chlorine',
  'sulphur dioxide',
  'carbon monoxide',
  'benzene',
  'carbon dioxide',
  'nitrogen',
  'hydrogen',
  'caustic',
  'acid',
  'amine',
  'methanol',
  'brine',
  'air',
  'water',
] as const;
export type HazardousMedium = (typeof HAZARDOUS_MEDIA)[number];

export interface MediumHazard {
  readonly hazards: readonly string[];
  readonly guards: readonly string[];
  /** Exposure limits, as published. */
  readonly limits: readonly string[];
}

const EYES_HANDS = 'Eye protection and gloves always.';
const FLAMMABLE = 'No ignition near; gas test before the joint is cracked; tools that do not spark.';
const SUFFOCATES =
  'Displaces air without warning in pits and closed rooms: ventilate, measure oxygen, never alone.';

export const MEDIUM_HAZARDS: Readonly<Record<HazardousMedium, MediumHazard>> = {
  'hydrogen sulphide': {
    hazards: [
      'Kills in a breath or two at 700–1 000 ppm; collapse within minutes at 500–700 ppm.',
      'The nose goes numb near 100 ppm, and over time at less: never rely on smell.',
      'Heavier than air; explosive from 4 %.',
    ],
    guards: [
      'Breathing apparatus for anybody at an opened or leaking joint.',
      'Personal alarm; never alone; stand upwind.',
      FLAMMABLE,
      EYES_HANDS,
    ],
    limits: [
      'ACGIH TLV-TWA 1 ppm, STEL 5 ppm',
      'OSHA ceiling 20 ppm, peak 50 ppm once for 10 min; construction and maritime 10 ppm',
      'NIOSH ceiling 10 ppm, IDLH 100 ppm',
    ],
  },
  'natural gas': {
    hazards: ['Flammable, explosive from about 5 to 15 % in air.', SUFFOCATES],
    guards: [FLAMMABLE, EYES_HANDS],
    limits: ['Work stops at 10 % of the lower explosive limit (common practice)'],
  },
  'crude oil': {
    hazards: ['Flammable; may carry hydrogen sulphide and benzene.'],
    guards: [FLAMMABLE, 'Treat as sour until measured.', EYES_HANDS],
    limits: ['Benzene in it: OSHA PEL 1 ppm, STEL 5 ppm'],
  },
  steam: {
    hazards: ['Burns; a jet may be invisible near the leak; trapped condensate flashes.'],
    guards: ['Drain, vent and let it cool below 50 °C (120 °F); face shield, long gloves.', EYES_HANDS],
    limits: [],
  },
  'hot water': {
    hazards: ['Scalds; above 100 °C it flashes to steam when opened.'],
    guards: ['Let it cool below 50 °C (120 °F) before opening; face shield.', EYES_HANDS],
    limits: [],
  },
  oxygen: {
    hazards: ['Makes oil, grease and clothing burn violently.'],
    guards: ['No oil or grease at all, on parts, tools or hands; cleaned parts only.', EYES_HANDS],
    limits: ['No work above 23.5 % oxygen in air (OSHA)'],
  },
  ammonia: {
    hazards: ['Attacks eyes and lungs; flammable from about 15 %.'],
    guards: ['Breathing apparatus or full mask by the permit; water at hand.', EYES_HANDS],
    limits: ['NIOSH REL 25 ppm, STEL 35 ppm, IDLH 300 ppm'],
  },
  chlorine: {
    hazards: ['Attacks lungs at a few ppm; heavier than air.'],
    guards: ['Breathing apparatus; scrubber or neutraliser ready; never alone.', EYES_HANDS],
    limits: ['NIOSH ceiling 0.5 ppm, IDLH 10 ppm'],
  },
  'sulphur dioxide': {
    hazards: ['Attacks eyes and lungs at a few ppm; heavier than air.'],
    guards: ['Breathing apparatus; never alone; stand upwind.', EYES_HANDS],
    limits: ['OSHA PEL 5 ppm', 'NIOSH REL 2 ppm, STEL 5 ppm, IDLH 100 ppm'],
  },
  'carbon monoxide': {
    hazards: ['Poisons without smell or warning; flammable from 12.5 %.'],
    guards: ['Personal alarm; breathing apparatus above the limit; never alone.', FLAMMABLE, EYES_HANDS],
    limits: ['OSHA PEL 50 ppm', 'NIOSH REL 35 ppm, ceiling 200 ppm, IDLH 1 200 ppm'],
  },
  benzene: {
    hazards: ['Causes leukaemia: through the skin as well as breathed; flammable.'],
    guards: ['Breathing apparatus or full mask by the permit; gloves that stand it.', FLAMMABLE, EYES_HANDS],
    limits: ['OSHA PEL 1 ppm, STEL 5 ppm', 'NIOSH REL 0.1 ppm, IDLH 500 ppm'],
  },
  'carbon dioxide': {
    hazards: [SUFFOCATES, 'Heavier than air; freezes what it blows on.'],
    guards: ['Measure CO2 and oxygen; cold-proof gloves.', EYES_HANDS],
    limits: ['OSHA PEL 5 000 ppm, NIOSH IDLH 40 000 ppm'],
  },
  nitrogen: {
    hazards: [SUFFOCATES],
    guards: ['Vent outdoors; measure oxygen: no entry below 19.5 %.', EYES_HANDS],
    limits: ['No work below 19.5 % oxygen in air (OSHA)'],
  },
  hydrogen: {
    hazards: ['Flammable from 4 to 75 %; burns with a flame that is hard to see.'],
    guards: [FLAMMABLE, EYES_HANDS],
    limits: [],
  },
  caustic: {
    hazards: ['Burns skin and blinds.'],
    guards: ['Face shield, suit and long gloves; eye wash at hand.', EYES_HANDS],
    limits: [],
  },
  acid: {
    hazards: ['Burns skin, eyes and lungs; may make hydrogen on steel.'],
    guards: ['Face shield, suit and long gloves; eye wash at hand.', EYES_HANDS],
    limits: [],
  },
  amine: {
    hazards: ['Burns skin and eyes; may hold hydrogen sulphide.'],
    guards: ['Treat as sour until measured; face shield and gloves.', EYES_HANDS],
    limits: [],
  },
  methanol: {
    hazards: ['Poisonous through skin; flammable with a flame that is hard to see.'],
    guards: [FLAMMABLE, EYES_HANDS],
    limits: ['OSHA PEL 200 ppm'],
  },
  brine: {
    hazards: ['Corrosive; may carry gas or hydrogen sulphide from a well.'],
    guards: [EYES_HANDS],
    limits: [],
  },
  air: {
    hazards: ['Stored energy; throws dirt and parts.'],
    guards: ['Vent before opening.', EYES_HANDS],
    limits: [],
  },
  water: {
    hazards: ['Pressure only, when cold.'],
    guards: ['Vent and drain before opening.', EYES_HANDS],
    limits: [],
  },
};
