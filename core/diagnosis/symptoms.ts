import { closesByAir, closureOf, moverOf, opensByAir, type Closure, type Features } from '../valve';
import { causesOf, type CauseId } from './causes';

type Duty = Closure['duty'];

interface Definition {
  readonly name: string;
  /** How likely each cause is before anything is read, in parts; the order is the fixed checklist of handbook part 4. */
  readonly causes: Partial<Record<CauseId, number>>;
  readonly of: (features: Features) => boolean;
  /** Causes that show it only on some valves. */
  readonly onlyOf?: Partial<Record<CauseId, (features: Features) => boolean>>;
}

const onAir = (features: Features) => causesOf(features).includes('supply low');
const does =
  (...duties: readonly Duty[]) =>
  (features: Features) =>
    duties.includes(closureOf(features).duty);

/** What is seen, and what it can come from: cheapest check first, as the handbook lists them (common practice). */
export const SYMPTOMS = {
  'half travel': {
    name: 'Half travel at full signal',
    causes: {
      'lock engaged': 2,
      'supply low': 3,
      'packing too tight': 4,
      debris: 1,
      'bottom guide blocked': 3,
      'guides galled': 2,
      'positioner out of set': 2,
      'bench set wrong': 2,
      'signal lost': 1,
      'flapper dirty': 1,
      'relay faulty': 2,
      'tubing leaks': 1,
      'diaphragm torn': 2,
    },
    of: onAir,
    // What lies under the plug stops it on its way to shut: full signal brings it there only where air shuts it.
    onlyOf: { debris: closesByAir, 'bottom guide blocked': closesByAir },
  },
  'short of shut': {
    name: 'Does not shut: stops short of its mark',
    causes: {
      'lock engaged': 2,
      'packing too tight': 4,
      debris: 2,
      'bottom guide blocked': 3,
      'guides galled': 2,
      'positioner out of set': 2,
      'closed stop out': 2,
      'bench set wrong': 1,
    },
    of: (features) => onAir(features) && !closesByAir(features),
    // Air on both sides beats any gland.
    onlyOf: { 'packing too tight': opensByAir },
  },
  'passes when shut': {
    name: 'Leaks through when shut, full travel',
    causes: {
      'coupled short': 3,
      'closed stop out': 2,
      'sealant used up': 3,
      'insert stiff': 2,
      debris: 3,
      'bench set wrong': 1,
      'pin sheared': 1,
      'soft seat cut': 3,
      'balance seal leaks': 2,
      'seat gasket leaks': 1,
      'seat worn': 4,
    },
    of: (features) => !does('relieve by a spring', 'regulate')(features),
  },
  sluggish: {
    name: 'Erratic or sluggish',
    causes: {
      'flapper dirty': 4,
      'relay faulty': 3,
      'piston ring leaks': 3,
      'cylinder seals leak': 2,
      'diaphragm torn': 2,
      'packing too tight': 2,
      'guides galled': 1,
      'bushing worn': 1,
      'tubing leaks': 1,
      'supply low': 1,
    },
    of: onAir,
  },
  'no motion': {
    name: 'No motion at all',
    causes: {
      'supply low': 3,
      'signal lost': 3,
      'lock engaged': 2,
      'flapper dirty': 2,
      'relay faulty': 2,
      'trip solenoid shut': 2,
      'tubing leaks': 1,
      'diaphragm torn': 2,
      'guides galled': 1,
    },
    of: onAir,
  },
  hunting: {
    name: 'Hunts',
    causes: { 'gain too high': 4, 'packing too tight': 4, 'relay faulty': 2, 'oversize or process': 3 },
    of: (features) => features.positioner.kind !== 'none',
  },
  'gland leaks': {
    name: 'Gland leaks',
    causes: { 'packing dry': 2, 'gland slack': 3, 'packing used up': 3, 'stem scored': 1, 'bushing worn': 1 },
    of: (features) => causesOf(features).includes('gland slack'),
  },
  creeps: {
    name: 'Regulator creeps at no flow',
    causes: { 'seat worn': 3, debris: 3 },
    of: does('regulate'),
  },
  'dump stays open': {
    name: 'Dump valve does not close, or dumps early',
    causes: { 'seat worn': 3, debris: 2, 'weight moved': 2, 'pot blocked': 2, 'hole blocked': 1 },
    of: does('dump'),
  },
  'solenoid stuck': {
    name: 'Solenoid valve will not open or close',
    causes: {
      'equalising orifice blocked': 3,
      'pilot orifice dirty': 3,
      'pilot diaphragm torn': 2,
      'armature stuck': 4,
    },
    of: (features) => moverOf(features).power === true,
  },
  weeps: {
    name: 'Relief valve weeps below its set pressure',
    causes: { 'seat worn': 3, debris: 3, 'runs near set': 2, misaligned: 1 },
    of: does('relieve by a spring'),
  },
} as const satisfies Record<string, Definition>;

export type SymptomId = keyof typeof SYMPTOMS;
export const SYMPTOM_IDS = Object.keys(SYMPTOMS) as [SymptomId, ...SymptomId[]];

/** Symptoms that a valve of these features can show. */
export function symptomsOf(features: Features): SymptomId[] {
  return SYMPTOM_IDS.filter((id) => SYMPTOMS[id].of(features));
}

/** How often a fault is none of those listed, of all faults (common practice). */
const UNLISTED = 0.1;

const elseOf = (parts: Partial<Record<CauseId, number>>): number =>
  (Object.values(parts).reduce((sum, part) => sum + part, 0) * UNLISTED) / (1 - UNLISTED);

/** How often each cause was placed on this shop's closed jobs with this symptom. */
export type Counts = Readonly<Partial<Record<CauseId, number>>>;

/** What the handbook's odds count for against the shop's own: as many closed jobs as this. */
const HANDBOOK_JOBS = 20;

/** The chance of each cause before anything is read, summing to 1: the handbook's odds, moved by the shop's own jobs. */
export function priorsOf(symptom: SymptomId, features: Features, counts: Counts = {}): Map<CauseId, number> {
  const { causes: listed, onlyOf = {} }: Definition = SYMPTOMS[symptom];
  const has = causesOf(features).filter((cause) => onlyOf[cause]?.(features) ?? true);
  const own = Object.fromEntries(has.flatMap((cause) => (listed[cause] ? [[cause, listed[cause]]] : [])));
  const parts: Partial<Record<CauseId, number>> = { ...own, 'something else': elseOf(own) };
  const can = has.filter((cause) => parts[cause] !== undefined);
  const whole = can.reduce((sum, cause) => sum + (parts[cause] ?? 0), 0);
  const weights = can.map(
    (cause) => [cause, (HANDBOOK_JOBS * (parts[cause] ?? 0)) / whole + (counts[cause] ?? 0)] as const,
  );
  const total = weights.reduce((sum, [, weight]) => sum + weight, 0);
  return new Map(weights.map(([cause, weight]) => [cause, weight / total]));
}
