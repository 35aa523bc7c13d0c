import { weekView, type betterPlanRequest, type PinAsked, type WeekView } from '@dusk-wren/contract/week';
import { useQuery, useQueryCache } from '@pinia/colada';
import { useIntervalFn } from '@vueuse/core';
import { wrap, type Remote } from 'comlink';
import { onBeforeUnmount, shallowRef, watch } from 'vue';
import type { z } from 'zod';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';
import type { WeekPlanner } from '../workers/week.worker';

const LOOKS_EVERY = 10_000;

/** The plan of the week as the server keeps it, and what a lead asks of it. */
export function useWeek() {
  const key = ['week'];
  const { data, error, refetch } = useQuery({ key, query: () => call('/week', weekView), staleTime: 0 });
  /** The same as long as nothing has changed: what was worked out of it stands. */
  const view = shallowRef<WeekView>();
  watch(
    data,
    (next) => {
      if (next && JSON.stringify(next) !== JSON.stringify(view.value)) view.value = next;
    },
    { immediate: true },
  );
  const cache = useQueryCache();
  const { wrong, busy, done } = useTrying();
  useIntervalFn(() => void refetch(), LOOKS_EVERY);
  const post = (path: string, body: object) =>
    done(async () => {
      const next = await call(`/week${path}`, weekView, { method: 'POST', body });
      // A look that was asked for before shows what is no more.
      cache.cancelQueries({ key });
      cache.setQueryData(key, next);
    });
  return {
    view,
    error,
    wrong,
    busy,
    refetch,
    pin: (pin: PinAsked) => post('/pins', pin),
    unpin: (job: string, id: string) => post('/pins/remove', { job, id }),
    want: (job: string, want: { hard: boolean; weight: number }) => post(`/jobs/${job}/want`, want),
    takeBetter: (better: z.output<typeof betterPlanRequest>) => post('/better', better),
    /** Something else that the plan is made of was set. */
    after: (work: () => Promise<unknown>) => done(() => work().then(() => refetch())),
  };
}
export type ShopWeek = ReturnType<typeof useWeek>;

/** Plans beside the page while it is open. */
export function usePlanner(): Remote<WeekPlanner> {
  const worker = new Worker(new URL('../workers/week.worker.ts', import.meta.url), { type: 'module' });
  onBeforeUnmount(() => worker.terminate());
  return wrap<WeekPlanner>(worker);
}

/** The moment that a minute of the view is. */
export const momentOf = ({ from }: Pick<WeekView, 'from'>, minute: number): string =>
  new Date(Date.parse(from) + minute * 60_000).toISOString();
