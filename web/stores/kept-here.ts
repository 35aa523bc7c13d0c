import { defineStore } from 'pinia';
import { computed, reactive, watch, type WritableComputedRef } from 'vue';
import { z } from 'zod';
import { device } from './device';
import { useSession } from './session';

const TEXT = 'text/';
const keptText = z.string().catch('');

/** Small things that this device keeps for a person: what is half typed, the tab that was open, ticks on a list. */
export const useKeptHere = defineStore('kept-here', () => {
  const session = useSession();
  const kept = reactive(new Map<string, string>());
  watch(
    () => session.person?.id,
    () => {
      kept.clear();
      for (const name of device.smallNames(TEXT)) kept.set(name, keptText.parse(device.small(name)));
    },
    { immediate: true, flush: 'sync' },
  );

  function keep(name: string, text: string): void {
    if (text === '') kept.delete(name);
    else kept.set(name, text);
    void device.keepSmall(name, text === '' ? undefined : text).catch(() => undefined);
  }
  /** A text kept under a key; empty while nothing is. */
  const text = (key: () => string): WritableComputedRef<string> =>
    computed({
      get: () => kept.get(`${TEXT}${key()}`) ?? '',
      set: (now) => keep(`${TEXT}${key()}`, now),
    });
  return { text };
});
