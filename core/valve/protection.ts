import { formatAs, si, valueIn, type Quantity } from '../quantity';
import { MEDIUM_HAZARDS, mediumOf, type HazardousMedium } from '../standards';
import { HAZARDS, type Hazard } from './medium';
import type { Valve } from './valve';

/** What a medium does to whoever opens its valve, and what guards against it. The data sheet and the permit win. */
export interface Protection {
  readonly hazards: readonly string[];
  readonly guards: readonly string[];
  /** Gas detector settings and exposure limits. */
  readonly limits: readonly string[];
  /** Before it leaves the site for a shop. */
  readonly decontamination: readonly string[];
  readonly breathingApparatus: boolean;
  /** Never worked on alone. */
  readonly buddy: boolean;
}

const OF_HAZARD: Partial<Record<Hazard, HazardousMedium>> = {
  h2s: 'hydrogen sulphide',
  oxygen: 'oxygen',
  flammable: 'natural gas',
};

/** NIOSH ceiling and IDLH of hydrogen sulphide, ppm (from memory). */
const CEILING_PPM = 10;
const IDLH_PPM = 100;

const BREATHES: readonly HazardousMedium[] = [
  'hydrogen sulphide',
  'ammonia',
  'chlorine',
  'sulphur dioxide',
  'carbon monoxide',
  'benzene',
];
const ALONE: readonly HazardousMedium[] = [...BREATHES, 'nitrogen', 'carbon dioxide', 'natural gas'];

/**
 * Protection for a medium: by its name, by the hazards ticked for it, by its temperature and its hydrogen sulphide.
 * A medium that nobody named is treated as hazardous. Sources: common practice; limits ACGIH, OSHA, NIOSH, from memory.
 */
export function protectionFor(medium: Valve['medium']): Protection {
  if (!medium) return UNKNOWN;
  const named = mediumOf(medium.name)?.hazard;
  const media = new Set<HazardousMedium>([
    ...(named ? [named] : []),
    ...medium.hazards.flatMap((hazard) => OF_HAZARD[hazard] ?? []),
    ...(medium.h2s && si(medium.h2s) > 0 ? (['hydrogen sulphide'] as const) : []),
  ]);
  const entries = [...media].map((each) => MEDIUM_HAZARDS[each]);
  const sour = media.has('hydrogen sulphide') ? sourRule(medium.h2s) : [];
  const hot = medium.temperature !== undefined && si(medium.temperature) > BURNS_FROM_KELVIN;
  return {
    hazards: unique(entries.flatMap(({ hazards }) => hazards)),
    guards: unique([
      ...sour,
      ...entries.flatMap(({ guards }) => guards),
      ...medium.hazards.map((hazard) => HAZARDS[hazard].guard),
      ...(hot ? [HAZARDS.hot.guard] : []),
      ...(media.size === 0 ? UNKNOWN.guards : []),
    ]),
    limits: unique(entries.flatMap(({ limits }) => limits)),
    decontamination: unique([
      'Drained, flushed and vented; half open, ends open; a certificate with a number goes with it.',
      ...[...media].flatMap((each) => DECONTAMINATION[each] ?? []),
    ]),
    breathingApparatus: BREATHES.some((each) => media.has(each)),
    buddy: ALONE.some((each) => media.has(each)),
  };
}

/** What is hotter than 50 °C burns (common practice). */
const BURNS_FROM_KELVIN = 273.15 + 50;
const unique = (words: readonly string[]): string[] => [...new Set(words)];

function sourRule(h2s: Quantity<'ratio'> | undefined): string[] {
  if (!h2s) return ['How much hydrogen sulphide is not known: breathing apparatus until it is measured.'];
  const measured = Math.round(valueIn(h2s, 'ppm') * 1000) / 1000;
  const ppm = formatAs(h2s, 'ppm');
  if (measured >= IDLH_PPM)
    return [
      `${ppm} of hydrogen sulphide, at or over 100 ppm (NIOSH IDLH): supplied air, two people, a third on watch.`,
    ];
  if (measured >= CEILING_PPM)
    return [
      `${ppm} of hydrogen sulphide, at or over the NIOSH ceiling of 10 ppm: breathing apparatus, two people.`,
    ];
  return [
    `${ppm} of hydrogen sulphide: a detector on every chest, apparatus at hand; it gathers in what is shut in.`,
  ];
}

const DECONTAMINATION: Partial<Record<HazardousMedium, string>> = {
  'hydrogen sulphide': 'Purged and measured at zero; iron sulphide kept wet, for it lights by itself in air.',
  'crude oil': 'Steamed or washed free of oil; gas-free by measurement.',
  'natural gas': 'Purged with nitrogen; gas-free by measurement.',
  oxygen: 'Bagged; nothing oily near it, in the shop either.',
  caustic: 'Rinsed until the water is neutral.',
  acid: 'Rinsed until the water is neutral.',
  amine: 'Rinsed; measured for hydrogen sulphide.',
  chlorine: 'Purged dry and measured at zero.',
  ammonia: 'Purged and measured at zero.',
};

const UNKNOWN: Protection = {
  hazards: ['Nobody has said what ran through it: treat it as hazardous.'],
  guards: [
    'Ask the operator for the data sheet before anything is loosened.',
    'Eye protection and gloves always.',
  ],
  limits: [],
  decontamination: ['No certificate, no spanner.'],
  breathingApparatus: false,
  buddy: false,
};
