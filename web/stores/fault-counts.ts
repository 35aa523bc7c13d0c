import { faultCountsView } from '@dusk-wren/contract';
import type { Counts, SymptomId } from '@dusk-wren/core/diagnosis';
import { useQuery } from '@pinia/colada';
import { computed, type Ref } from 'vue';
import { call } from '../api/client';

/**
 * What this shop's closed jobs with a symptom were, for the fault finder to learn from; nothing until the shop has answered or
 * cannot. What is proposed would be another check under the hand else.
 */
export function useFaultCounts(symptom: Ref<SymptomId | undefined>) {
  const { data, status } = useQuery({
    key: () => ['fault-counts'],
    query: () => call('/fault-counts', faultCountsView),
  });
  return computed<Counts | undefined>(() => {
    if (status.value === 'pending') return undefined;
    return Object.fromEntries(
      (data.value?.counts ?? [])
        .filter((each) => each.symptom === symptom.value)
        .map(({ cause, count }) => [cause, count]),
    );
  });
}
