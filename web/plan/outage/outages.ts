import {
  outagePreview,
  outagesView,
  outageView,
  type OutageAsked,
  type OutagePreview,
} from '@dusk-wren/contract/outages';
import type { ValveId } from '@dusk-wren/core/job';
import { useQuery, useQueryCache } from '@pinia/colada';
import { call } from '../../api/client';
import { useOpening } from '../../stores/opening';
import { useTrying } from '../../stores/trying';

/** Every outage, and how one is brought in. */
export function useOutages() {
  const key = ['outages'];
  const { data, error } = useQuery({ key, query: () => call('/outages', outagesView), staleTime: 0 });
  const cache = useQueryCache();
  const { wrong, busy, trying } = useTrying();
  const post = { method: 'POST' } as const;
  return {
    outages: data,
    error,
    wrong,
    busy,
    preview: (csv: string): Promise<OutagePreview | undefined> =>
      trying(() => call('/outages/preview', outagePreview, { ...post, body: { csv } })),
    add: (asked: OutageAsked) => trying(() => call('/outages', outageView, { ...post, body: asked })),
    remove: (id: string) =>
      trying(async () => {
        cache.setQueryData(key, await call(`/outages/${id}/remove`, outagesView, { ...post, body: {} }));
      }),
  };
}

/** A job to open for an outage: on a valve in its window, or on a spare before it. */
export interface ToOpen {
  readonly valve: ValveId;
  readonly tag: string;
  readonly when: 'within' | 'before';
}

/** One outage with its valves, and their jobs opened. */
export function useOutage(id: () => string) {
  const { data, error, refetch } = useQuery({
    key: () => ['outage', id()],
    query: () => call(`/outages/${id()}`, outageView),
    staleTime: 0,
  });
  const { wrong, busy, done } = useTrying();
  const opening = useOpening(done);
  const open = (jobs: readonly ToOpen[]) => opening.open(`/outages/${id()}/open`, jobs, refetch);
  return { view: data, error, wrong, busy, told: opening.told, open };
}
