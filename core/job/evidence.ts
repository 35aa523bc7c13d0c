import type { Evidence, SymptomId } from '../diagnosis';
import { counts } from './instrument';
import type { JobState } from './state';

/** What the finder has to go by for a symptom: each check as it was answered last, by what was in calibration. */
export function evidenceOn(state: JobState, symptom: SymptomId): Evidence[] {
  const latest = new Map<string, Evidence>();
  for (const { body } of state.records['evidence-taken'])
    if (body.symptom === symptom && counts(body.readBy))
      latest.set(body.check, { check: body.check, result: body.result });
  return [...latest.values()];
}
