import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, type WritableComputedRef } from 'vue';
import { useSession } from './session';

/** The oldest go first. */
const MOST = 300;

/** Small things that this screen keeps for a person: what is half typed, the tab that was open, ticks on a list. */
export const useKeptHere = defineStore('kept-here', () => {
  const kept = useLocalStorage<Record<string, string>>('dusk-wren.kept-here', {});
  const session = useSession();
  const keyed = (key: string) => `${session.person?.id ?? 'nobody'}/${key}`;

  function keep(key: string, text: string): void {
    const { [key]: _before, ...rest } = kept.value;
    const others = Object.entries(rest).slice(1 - MOST);
    kept.value = Object.fromEntries(text === '' ? others : [...others, [key, text]]);
  }
  /** A text kept under a key; `usual` while nothing is. */
  const text = <T extends string>(key: () => string, usual: T): WritableComputedRef<T> =>
    computed({
      get: () => (kept.value[keyed(key())] as T | undefined) ?? usual,
      set: (now) => keep(keyed(key()), now === usual ? '' : now),
    });
  return { text };
});
