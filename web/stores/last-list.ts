import { jobListView } from '@dusk-wren/contract';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { z } from 'zod';
import { useSession } from './session';

const kept = z.record(z.string(), z.object({ at: z.string(), list: jobListView }));
type Kept = z.output<typeof kept>;

function read(raw: string): Kept {
  try {
    return kept.catch({}).parse(JSON.parse(raw));
  } catch {
    return {};
  }
}

/** The list of jobs as each person last saw it here: shown with its age while the server cannot be reached. */
export const useLastList = defineStore('last-list', () => {
  const all = useLocalStorage<Kept>(
    'dusk-wren.last-list',
    {},
    { serializer: { read, write: JSON.stringify } },
  );
  const session = useSession();
  const who = computed(() => session.person?.id ?? 'nobody');
  const last = computed(() => all.value[who.value]);
  function keep(list: z.output<typeof jobListView>): void {
    all.value = { ...all.value, [who.value]: { at: new Date().toISOString(), list } };
  }
  return { last, keep };
});
