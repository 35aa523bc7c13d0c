import type { CauseId, SymptomId } from '../diagnosis';
import type { Found } from '../job';

/** Failure modes of a valve, as ISO 14224 abbreviates them (from memory). */
export const FAILURE_MODES = {
  ELP: 'external leakage, process medium',
  ELU: 'external leakage, utility medium',
  INL: 'internal leakage',
  LCP: 'leakage in closed position',
  FTC: 'fail to close on demand',
  FTO: 'fail to open on demand',
  FTR: 'fail to regulate',
  DOP: 'delayed operation',
  SPO: 'spurious operation',
  AIR: 'abnormal instrument reading',
  HIO: 'high output',
  LOO: 'low output',
  NOI: 'noise',
  VIB: 'vibration',
  PLU: 'plugged',
  STD: 'structural deficiency',
  SER: 'minor in-service problems',
  OTH: 'other',
  UNK: 'unknown',
} as const;
export type FailureMode = keyof typeof FAILURE_MODES;

const OF_SYMPTOM: Readonly<Record<SymptomId, FailureMode>> = {
  'half travel': 'FTR',
  'short of shut': 'FTC',
  'passes when shut': 'LCP',
  sluggish: 'DOP',
  'no motion': 'FTO',
  hunting: 'FTR',
  'gland leaks': 'ELP',
  creeps: 'HIO',
  'dump stays open': 'FTC',
  'solenoid stuck': 'FTO',
  weeps: 'LCP',
};

const OF_FOUND: Readonly<Record<Exclude<Found, 'good'>, FailureMode>> = {
  high: 'FTO',
  low: 'SPO',
  stuck: 'FTO',
  leaking: 'LCP',
  dirty: 'SER',
  outside: 'FTR',
};

/** Failure mechanisms, by the subdivision that ISO 14224 gives them (from memory). */
const MECHANISMS = {
  '1.0': 'mechanical, general',
  '1.1': 'leakage',
  '1.3': 'clearance or alignment',
  '1.5': 'looseness',
  '1.6': 'sticking',
  '2.2': 'corrosion',
  '2.3': 'erosion',
  '2.4': 'wear',
  '2.5': 'breakage',
  '3.0': 'instrument, general',
  '3.1': 'control failure',
  '3.2': 'no signal',
  '3.4': 'out of adjustment',
  '4.3': 'no power',
  '5.1': 'blockage',
  '5.2': 'contamination',
  '6.0': 'miscellaneous',
  '6.4': 'unknown',
} as const;
type Mechanism = keyof typeof MECHANISMS;

const OF_CAUSE: Partial<Record<CauseId, Mechanism>> = {
  'supply low': '4.3',
  'signal lost': '3.2',
  'flapper dirty': '5.2',
  'relay faulty': '3.0',
  'gain too high': '3.4',
  'positioner out of set': '3.4',
  'trip solenoid shut': '3.1',
  'tubing leaks': '1.1',
  'diaphragm torn': '2.5',
  'bench set wrong': '3.4',
  'piston ring leaks': '1.1',
  'cylinder seals leak': '1.1',
  'coupled short': '1.3',
  'closed stop out': '1.3',
  'pin sheared': '2.5',
  'packing too tight': '1.6',
  'bottom guide blocked': '5.1',
  'guides galled': '1.6',
  'bushing worn': '2.4',
  'insert stiff': '1.6',
  'soft seat cut': '2.4',
  'balance seal leaks': '1.1',
  'seat gasket leaks': '1.1',
  'seat worn': '2.4',
  debris: '5.2',
  'packing dry': '1.6',
  'gland slack': '1.5',
  'packing used up': '2.4',
  'stem scored': '2.4',
  'weight moved': '1.5',
  'pot blocked': '5.1',
  'hole blocked': '5.1',
  'equalising orifice blocked': '5.1',
  'pilot orifice dirty': '5.2',
  'pilot diaphragm torn': '2.5',
  'armature stuck': '1.6',
  'something else': '6.0',
};

/** Failure causes of ISO 14224 that a shop can tell (from memory). */
const CAUSES_OF = {
  '3.1': 'off-design service',
  '3.3': 'maintenance error',
  '3.4': 'expected wear and tear',
  '5.1': 'not known',
} as const;

/** A failure in the code of ISO 14224. */
export interface FailureCode {
  readonly mode: FailureMode;
  readonly mechanism: string;
  readonly cause: string;
}

const worded = <K extends string>(table: Readonly<Record<K, string>>, code: K) => `${code} ${table[code]}`;

/**
 * What a job's failure is coded as: the mode by what was placed, else by how the valve was found; the mechanism by the
 * placed cause; the cause off-design where the process did it, a maintenance error where it came back within 90 days.
 * Undefined for a valve that was found good. Source: ISO 14224, from memory: to be verified before it leaves the shop.
 */
export function failureCode(told: {
  readonly symptom?: SymptomId;
  readonly cause?: CauseId;
  readonly found?: Found;
  readonly cameBack: boolean;
}): FailureCode | undefined {
  const { symptom, cause, found, cameBack } = told;
  if (symptom === undefined && (found === undefined || found === 'good')) return undefined;
  const mode = symptom === undefined ? modeOfFound(found) : OF_SYMPTOM[symptom];
  const mechanism = cause && OF_CAUSE[cause];
  return {
    mode,
    mechanism: worded(MECHANISMS, mechanism ?? '6.4'),
    cause: worded(
      CAUSES_OF,
      cameBack
        ? '3.3'
        : cause === 'oversize or process' || cause === 'runs near set'
          ? '3.1'
          : mechanism
            ? '3.4'
            : '5.1',
    ),
  };
}

const modeOfFound = (found: Found | undefined): FailureMode =>
  found === undefined || found === 'good' ? 'UNK' : OF_FOUND[found];
