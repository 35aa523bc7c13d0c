import {
  agesView,
  fleetJobs,
  fleetView,
  kitUses,
  type FLEET_MONTHS,
  type PartLived,
} from '@dusk-wren/contract';
import type { ConstructionId } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import { useCustomers } from '../stores/customers';

export type Months = (typeof FLEET_MONTHS)[number];

/** What of the fleet somebody looks into: the jobs of a valve, of a cause, of a way they were found, or that came back. */
export type Behind =
  | { readonly kind: 'valve'; readonly key: string; readonly words: string }
  | { readonly kind: 'cause' | 'found'; readonly key: string; readonly words: string }
  | { readonly kind: 'cameBack'; readonly key: 'yes'; readonly words: string }
  | { readonly kind: 'part'; readonly key: string; readonly of: ConstructionId; readonly words: string };

/** All valves together, as somebody narrows them. */
export function useFleet() {
  const months = ref<Months>(36);
  const customer = ref<string | null>(null);
  const rate = useLocalStorage('an hour costs', 60);
  const narrowed = computed(() => {
    const query = new URLSearchParams({ months: String(months.value) });
    if (customer.value) query.set('customer', customer.value);
    return query.toString();
  });
  const { data, error } = useQuery({
    key: () => ['fleet', narrowed.value, rate.value],
    query: () => call(`/fleet?${narrowed.value}&rate=${rate.value}`, fleetView),
    staleTime: 0,
  });
  const { data: kits } = useQuery({
    key: () => ['fleet kits', narrowed.value],
    query: () => call(`/fleet/kits?${narrowed.value}`, kitUses),
    // They stand below: what all valves say comes first, and in a shop of decades is work enough for its database.
    enabled: () => data.value !== undefined,
  });
  return {
    months,
    customer,
    rate,
    narrowed,
    data,
    error,
    kits,
    customers: useCustomers(),
  };
}

/** The jobs behind a chart. */
export function useBehind(narrowed: () => string, behind: () => Behind) {
  const cursor = ref<string>();
  const asked = computed(() => {
    const at = behind();
    const query = new URLSearchParams(narrowed());
    query.set(at.kind, at.key);
    if (at.kind === 'part') query.set('construction', at.of);
    if (cursor.value) query.set('cursor', cursor.value);
    return query.toString();
  });
  const { data, error } = useQuery({
    key: () => ['fleet jobs', asked.value],
    query: () => call(`/fleet/jobs?${asked.value}`, fleetJobs),
  });
  return { data, error, cursor };
}

/** How old a part became. */
export function useAges(of: () => PartLived) {
  const service = ref<string | null>(null);
  const asked = computed(() => {
    const query = new URLSearchParams({ construction: of().construction, part: of().part });
    if (service.value) query.set('service', service.value);
    return query.toString();
  });
  const { data, error } = useQuery({
    key: () => ['fleet ages', asked.value],
    query: () => call(`/fleet/ages?${asked.value}`, agesView),
  });
  /** As the workings of a life are asked. */
  const raw = computed(() => ({
    failures: (data.value?.failures ?? []).map((days) => `${days} d`),
    running: (data.value?.running ?? []).map((days) => `${days} d`),
  }));
  return { data, error, raw, service };
}
