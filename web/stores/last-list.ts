import { jobListView } from '@dusk-wren/contract';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import { z } from 'zod';
import { device } from './device';
import { useSession } from './session';

const lastList = z.object({ at: z.string(), list: jobListView });
const NAME = 'last list';

/** The list of jobs as who is here last saw it: shown with its age while the server cannot be reached. */
export const useLastList = defineStore('last-list', () => {
  const session = useSession();
  const last = shallowRef<z.output<typeof lastList>>();
  watch(
    () => session.person?.id,
    () => (last.value = lastList.safeParse(device.small(NAME)).data),
    { immediate: true },
  );
  function keep(list: z.output<typeof jobListView>): void {
    last.value = { at: new Date().toISOString(), list };
    void device.keepSmall(NAME, last.value).catch(() => undefined);
  }
  return { last, keep };
});
