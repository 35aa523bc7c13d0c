import type { DriverSettings } from '@dusk-wren/contract';
import { plan, stepOf } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { conditionOf } from '@dusk-wren/core/simulation';
import type { BenchJob } from '@dusk-wren/core/testing/bench';
import type { Work } from '../instruments/source';

/** What a source is told that reads for a step of a job; simulated ones as fast as they go. */
export function workAt(job: BenchJob, step: string, settings: DriverSettings = {}): Work {
  const current = must(plan(job.state));
  const planned = current && stepOf(current, step);
  if (!current || !planned) throw new Error(`no step ${step}`);
  return {
    ...{ state: job.state, stateNow: () => job.state, plan: current, step: planned },
    ...{ pass: 0, check: undefined, settings, rate: 1000 },
    condition: { ...conditionOf('FV-1'), positioner: { zero: 0, span: 0, balance: 0 } },
  };
}
