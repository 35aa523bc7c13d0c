import type { IsolationPoint } from '../../../isolation';
import { HAZARDS, type Valve } from '../../../valve';
import { always } from '../../draft';
import { stepName, type StepName } from '../../relations';

export const IN_LINE = always('the valve is in its line');
/** What the steps of the sheet share. */
export const SHEET = { stage: 'isolate', because: IN_LINE, provides: ['isolated'] } as const;
export const PERMIT = 'Under the site’s permit only.';

export const LINE = stepName('isolate.line');
/** The proof that one energy is gone. */
export const zeroOf = (energy: string): StepName => stepName('isolate.zero', energy.replaceAll(' ', '-'));

/** Both signatures: only then is anything opened or lifted. */
export const SIGNED = stepName('isolate.sign');
/** Both signatures that every lock is off. */
export const RESTORED = stepName('restore.sign');

export const guardsOf = ({ medium }: Valve): string =>
  (medium?.hazards ?? []).map((hazard) => HAZARDS[hazard].guard).join(' ');

/** At blocks, vents and bleeds the process stands. */
export const liveAt = (point: IsolationPoint): { live?: true } =>
  point.for.some((energy) => energy.endsWith('pressure')) ? { live: true } : {};

/** What reads an energy; a gauge unless told. */
export const INSTRUMENTS: Partial<Record<string, 'gauge' | 'thermometer' | 'voltage tester'>> = {
  temperature: 'thermometer',
  voltage: 'voltage tester',
};
