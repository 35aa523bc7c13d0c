import { faultCountsView } from '@dusk-wren/contract';
import type { Counts, SymptomId } from '@dusk-wren/core/diagnosis';
import { useQuery } from '@pinia/colada';
import { computed, type Ref } from 'vue';
import { call } from '../api/client';

/** What this shop's closed jobs with a symptom were, for the fault finder to learn from. */
export function useFaultCounts(symptom: Ref<SymptomId | undefined>) {
  const { data } = useQuery({
    key: () => ['fault-counts'],
    query: () => call('/fault-counts', faultCountsView),
  });
  return computed<Counts>(() =>
    Object.fromEntries(
      (data.value?.counts ?? [])
        .filter((each) => each.symptom === symptom.value)
        .map(({ cause, count }) => [cause, count]),
    ),
  );
}
