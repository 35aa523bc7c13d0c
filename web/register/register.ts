import { customersView, registerView, type RegisterLine, type Standing } from '@dusk-wren/contract';
import type { ConstructionId } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { call } from '../api/client';

const A_PAGE = '48';

/** The register as somebody narrows it: words, customer, construction, standing; page after page. */
export function useRegister() {
  const typed = ref('');
  const sought = refDebounced(typed, 150);
  const customer = ref<string | null>(null);
  const construction = ref<ConstructionId | null>(null);
  const standing = ref<Standing | null>(null);
  const cursors = ref<string[]>([]);
  watch([sought, customer, construction, standing], () => (cursors.value = []));

  const query = computed(() => {
    const parts = new URLSearchParams({ limit: A_PAGE });
    if (sought.value.trim()) parts.set('q', sought.value.trim());
    if (customer.value) parts.set('customer', customer.value);
    if (construction.value) parts.set('construction', construction.value);
    if (standing.value) parts.set('standing', standing.value);
    const cursor = cursors.value.at(-1);
    if (cursor) parts.set('cursor', cursor);
    return parts.toString();
  });
  const { data, error, refetch } = useQuery({
    key: () => ['register', query.value],
    query: () => call(`/register?${query.value}`, registerView),
    staleTime: 2000,
  });
  const { data: known } = useQuery({
    key: () => ['customers'],
    query: () => call('/customers', customersView),
  });
  const valves = computed<readonly RegisterLine[]>(() => data.value?.valves ?? []);
  const customers = computed(() => known.value?.customers ?? []);
  const isNarrowed = computed(
    () =>
      sought.value.trim() !== '' || [customer, construction, standing].some(({ value }) => value !== null),
  );
  const later = () => {
    if (data.value?.next) cursors.value = [...cursors.value, data.value.next];
  };
  const earlier = () => (cursors.value = cursors.value.slice(0, -1));
  return {
    ...{ typed, sought, customer, construction, standing, customers },
    ...{ valves, data, error, refetch, isNarrowed, cursors, later, earlier },
  };
}
