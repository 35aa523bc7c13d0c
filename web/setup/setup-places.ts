import { workPlace, workPlacesView, type WorkPlaceAsked } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { call } from '../api/client';
import { faultOf } from '../stores/fault';

const answered = z.object({ place: workPlace });

/** Where the shop's work is done; what was refused, in words. */
export function useSetupPlaces() {
  const { data, refetch } = useQuery({
    key: () => ['setup-places'],
    query: () => call('/setup/places', workPlacesView),
  });
  const places = computed(() => data.value?.places ?? []);
  const wrong = ref('');

  async function post(path: string, body: object): Promise<boolean> {
    wrong.value = '';
    try {
      await call(`/setup/places${path}`, answered, { method: 'POST', body });
      await refetch();
      return true;
    } catch (error) {
      wrong.value = faultOf(error);
      return false;
    }
  }
  const add = (asked: WorkPlaceAsked) => post('', asked);
  const change = (id: string, asked: WorkPlaceAsked | { readonly retired: boolean }) =>
    post(`/${id}/change`, asked);
  return { places, wrong, refetch, add, change };
}
