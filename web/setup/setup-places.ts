import { workPlace, workPlacesView, type WorkPlaceAsked } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { z } from 'zod';
import { call } from '../api/client';
import { useTrying } from '../stores/trying';

const answered = z.object({ place: workPlace });

/** Where the shop's work is done; what was refused, in words. */
export function useSetupPlaces() {
  const { data, refetch } = useQuery({
    key: () => ['setup-places'],
    query: () => call('/setup/places', workPlacesView),
  });
  const places = computed(() => data.value?.places ?? []);
  const { wrong, done } = useTrying();

  const post = (path: string, body: object) =>
    done(async () => {
      await call(`/setup/places${path}`, answered, { method: 'POST', body });
      await refetch();
    });
  const add = (asked: WorkPlaceAsked) => post('', asked);
  const change = (id: string, asked: WorkPlaceAsked | { readonly retired: boolean }) =>
    post(`/${id}/change`, asked);
  return { places, wrong, refetch, add, change };
}
