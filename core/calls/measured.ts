import { judgesOf, type Call, type Judged, type Readings, type Verdict } from '../inspection';
import { counts, type EntryOf, type JobState } from '../job';
import { ofDimension } from '../quantity';
import type { PartRole, Valve } from '../valve';

/** The last reading of this figure that counts. */
const lastRead = (state: JobState, what: string): EntryOf<'measured'> | undefined =>
  state.records.measured.findLast(({ body }) => body.what === what && counts(body.readBy));

/** Figures as the job has read them last. */
export const readingsOf =
  (state: JobState): Readings =>
  (what, dimension) =>
    ofDimension(lastRead(state, what)?.body.value, dimension);

/** Calls on a part by what was measured on it, each with the last entry that it rests on. */
export function measuredCalls(
  state: JobState,
  valve: Valve,
  part: PartRole,
  severity: Readonly<Record<Verdict, number>>,
): readonly { readonly call: Call; readonly seq: number }[] {
  return judgesOf(valve).flatMap((judge) => {
    if (judge.part !== part) return [];
    const judged = judge.judge(readingsOf(state), valve);
    const worst = judged?.ok
      ? judged.value.figures.reduce<Judged | undefined>(
          (kept, each) => (kept && severity[kept.verdict] >= severity[each.verdict] ? kept : each),
          undefined,
        )
      : undefined;
    if (!worst) return [];
    const seq = Math.max(...judge.reads.map((what) => lastRead(state, what)?.seq ?? 0));
    return [{ call: callOf(part, worst), seq }];
  });
}

function callOf(part: PartRole, { what, found, limit, verdict, source }: Judged): Call {
  const reason = { code: 'measured', what, found, ...(limit ? { limit } : {}) } as const;
  return { part, verdict, reason, source };
}
