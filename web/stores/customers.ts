import { customersView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';

/** The customers that have rules of their own, by name. */
export function useCustomers() {
  const { data } = useQuery({
    key: () => ['customers'],
    query: () => call('/customers', customersView),
  });
  return computed(() => data.value?.customers ?? []);
}
