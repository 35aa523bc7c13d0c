import { dueList, type DueLine } from '@dusk-wren/contract';
import { daysAfter } from '@dusk-wren/core/quantity';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { call } from '../api/client';
import { isoDay } from '../parts/dates';
import { useCustomers } from '../stores/customers';
import { useOpening } from '../stores/opening';
import { useTrying } from '../stores/trying';

export const HORIZONS = [30, 90, 365] as const;
export type Horizon = (typeof HORIZONS)[number];
const MOST = '500';

/** What falls due in one month; what is over stands by itself. */
export interface DueMonth {
  readonly name: string;
  readonly valves: readonly DueLine[];
}

const nameOf = (day: string, today: string): string =>
  day < today
    ? 'Over already'
    : new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', {
        ...{ month: 'long', year: 'numeric', timeZone: 'UTC' },
      });

/** The list by months, the soonest first. */
export function byMonth(valves: readonly DueLine[], today: string): DueMonth[] {
  const months = new Map<string, DueLine[]>();
  for (const valve of valves) {
    const name = nameOf(valve.due.at, today);
    const own = months.get(name);
    if (own) own.push(valve);
    else months.set(name, [valve]);
  }
  return [...months].map(([name, own]) => ({ name, valves: own }));
}

/** The recall list as somebody narrows it, and the jobs of a month opened. */
export function useDue() {
  const days = ref<Horizon>(90);
  const customer = ref<string | null>(null);
  const today = isoDay(new Date());
  const asked = computed(() => {
    const query = new URLSearchParams({ by: daysAfter(today, days.value) });
    if (customer.value) query.set('customer', customer.value);
    return query.toString();
  });
  const { data, error, refetch } = useQuery({
    key: () => ['due', asked.value],
    query: () => call(`/due?${asked.value}&limit=${MOST}`, dueList),
    staleTime: 0,
  });
  const months = computed(() => byMonth(data.value?.valves ?? [], today));
  const { wrong, done } = useTrying();
  const opening = useOpening(done);
  const open = (valves: readonly DueLine[]) =>
    opening.open(
      '/due/open',
      valves.flatMap(({ id, tag, open: job }) => (job === null ? [{ valve: id, tag }] : [])),
      refetch,
    );
  return {
    days,
    customer,
    customers: useCustomers(),
    data,
    error,
    months,
    asked,
    wrong,
    told: opening.told,
    open,
  };
}
