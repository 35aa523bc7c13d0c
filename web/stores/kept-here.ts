import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, type WritableComputedRef } from 'vue';
import { z } from 'zod';
import { useSession } from './session';

const stored = z.record(z.string(), z.string());

function parsed(raw: string): unknown {
  try {
    return JSON.parse(raw);
  } catch {
    return undefined;
  }
}

/** The oldest go first. */
const MOST = 300;

/** Small things that this screen keeps for a person: what is half typed, the tab that was open, ticks on a list. */
export const useKeptHere = defineStore('kept-here', () => {
  // Whatever else stands under that name in a browser is as good as nothing.
  const kept = useLocalStorage<Record<string, string>>(
    'dusk-wren.kept-here',
    {},
    { serializer: { read: (raw) => stored.catch({}).parse(parsed(raw)), write: JSON.stringify } },
  );
  const session = useSession();
  const keyed = (key: string) => `${session.person?.id ?? 'nobody'}/${key}`;

  function keep(key: string, text: string): void {
    const { [key]: _before, ...rest } = kept.value;
    const others = Object.entries(rest).slice(1 - MOST);
    kept.value = Object.fromEntries(text === '' ? others : [...others, [key, text]]);
  }
  /** A text kept under a key; empty while nothing is. */
  const text = (key: () => string): WritableComputedRef<string> =>
    computed({
      get: () => kept.value[keyed(key())] ?? '',
      set: (now) => keep(keyed(key()), now),
    });
  return { text };
});
