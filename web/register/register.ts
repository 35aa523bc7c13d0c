import { registerView, type RegisterLine, type Standing } from '@dusk-wren/contract';
import { daysAfter } from '@dusk-wren/core/quantity';
import type { ConstructionId } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { call } from '../api/client';
import { useCustomers } from '../stores/customers';
import { isoDay } from '../parts/dates';

/** How soon a valve is due, days. */
export const WITHIN = [
  { value: 0, title: 'over already' },
  { value: 30, title: 'within 30 days' },
  { value: 90, title: 'within 90 days' },
  { value: 365, title: 'within a year' },
];
const A_PAGE = '48';

/** The register as somebody narrows it: words, customer, construction, standing; page after page. */
export function useRegister() {
  const typed = ref('');
  const sought = refDebounced(typed, 150);
  const customer = ref<string | null>(null);
  const construction = ref<ConstructionId | null>(null);
  const standing = ref<Standing | null>(null);
  const due = ref<number | null>(null);
  const cursors = ref<string[]>([]);
  watch([sought, customer, construction, standing, due], () => (cursors.value = []));

  const query = computed(() => {
    const parts = new URLSearchParams({ limit: A_PAGE });
    if (sought.value.trim()) parts.set('q', sought.value.trim());
    if (customer.value) parts.set('customer', customer.value);
    if (construction.value) parts.set('construction', construction.value);
    if (standing.value) parts.set('standing', standing.value);
    if (due.value !== null) parts.set('due', daysAfter(isoDay(new Date()), due.value));
    const cursor = cursors.value.at(-1);
    if (cursor) parts.set('cursor', cursor);
    return parts.toString();
  });
  const { data, error, refetch } = useQuery({
    key: () => ['register', query.value],
    query: () => call(`/register?${query.value}`, registerView),
    staleTime: 2000,
  });
  const valves = computed<readonly RegisterLine[]>(() => data.value?.valves ?? []);
  const customers = useCustomers();
  const isNarrowed = computed(
    () =>
      sought.value.trim() !== '' ||
      [customer, construction, standing, due].some(({ value }) => value !== null),
  );
  const later = () => {
    if (data.value?.next) cursors.value = [...cursors.value, data.value.next];
  };
  const earlier = () => (cursors.value = cursors.value.slice(0, -1));
  return {
    ...{ typed, sought, customer, construction, standing, due, customers },
    ...{ valves, data, error, refetch, isNarrowed, cursors, later, earlier },
  };
}
