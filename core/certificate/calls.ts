import { wordReason, type Verdict } from '../inspection';
import type { Plan } from '../plan';
import { say, type UnitSystem } from '../quantity';
import { describeSource } from '../standards';
import type { PartRole } from '../valve';

export interface CallLine {
  readonly number: number;
  readonly part: PartRole;
  readonly verdict: Verdict;
  readonly method?: string;
  readonly reason: string;
  readonly source: string;
  readonly overruled?: string;
}

/** Every call that stands, numbered, with its reason and whose rule it is. */
export function callLines({ calls }: Plan, system: UnitSystem): CallLine[] {
  return [...calls.values()].map((call, i) => ({
    number: i + 1,
    part: call.part,
    verdict: call.verdict,
    ...(call.method === undefined ? {} : { method: call.method }),
    reason: say(wordReason(call.reason), system),
    source: describeSource(call.source),
    ...(call.overruled === undefined
      ? {}
      : { overruled: `was ${call.overruled.was}, overruled by ${call.overruled.by}` }),
  }));
}
