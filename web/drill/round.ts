import { DRILLS, roundOf, ticketSchema, type Ticket } from '@dusk-wren/core/drill';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { z } from 'zod';
import { device } from '../stores/device';
import { useSession } from '../stores/session';
import { freshSeed } from './address';
import { useDrills } from './drills';

const NAME = 'drill round';
const kept = z.array(ticketSchema);

/** Ten minutes of exercises, one after the other; what is left of them is there again after a reload. */
export const useRound = defineStore('drill-round', () => {
  const session = useSession();
  const drills = useDrills();
  const left = shallowRef<readonly Ticket[]>([]);
  watch(
    () => session.person?.id,
    () => (left.value = kept.safeParse(device.small(NAME)).data ?? []),
    { immediate: true },
  );
  function keep(tickets: readonly Ticket[]): void {
    left.value = tickets;
    void device.keepSmall(NAME, tickets.length > 0 ? tickets : undefined).catch(() => undefined);
  }
  /** The next one, and the rest of the round without it. */
  function next(): Ticket | undefined {
    const [first, ...rest] = left.value;
    keep(rest);
    return first;
  }
  function begin(): Ticket | undefined {
    keep(roundOf(drills.done, new Date(), drills.dayEnds, freshSeed()));
    return next();
  }
  const title = computed(() => left.value[0] && DRILLS[left.value[0].drill].title);
  return { left: computed(() => left.value.length), title, begin, next };
});
