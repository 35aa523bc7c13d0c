import { findWorking, type RegisteredWorking } from '@dusk-wren/core/workings';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useSession } from '../stores/session';

const KEPT = 6;

/** The workings a person used lately, newest first, on this screen. */
export const useRecentWorkings = defineStore('recent workings', () => {
  const kept = useLocalStorage<Record<string, string[]>>('dusk-wren.recent-workings', {});
  const session = useSession();
  const who = computed(() => session.person?.id ?? 'nobody');
  const ids = computed(() => kept.value[who.value] ?? []);
  const recent = computed(() =>
    ids.value.flatMap((id): RegisteredWorking[] => {
      const found = findWorking(id);
      return found.ok ? [found.value] : [];
    }),
  );
  function used(id: string): void {
    kept.value = {
      ...kept.value,
      [who.value]: [id, ...ids.value.filter((each) => each !== id)].slice(0, KEPT),
    };
  }
  return { recent, used };
});
