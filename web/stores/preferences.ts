import {
  asRead,
  format,
  formatParts,
  say,
  type Mark,
  type Phrase,
  type Quantity,
  type ReadOn,
  type UnitSystem,
} from '@dusk-wren/core/quantity';
import { useLocalStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { useSession } from './session';

type Look = 'dusk' | 'daylight';
/** Only what somebody has turned themselves: in the rest they go with the shop. */
interface Own {
  readonly units?: UnitSystem;
  readonly look?: Look;
}
type Kept = Record<string, Own>;

/** Units and theme, per person on this screen. */
export const usePreferences = defineStore('preferences', () => {
  const kept = useLocalStorage<Kept>('dusk-wren.preferences', {});
  const session = useSession();
  const who = computed(() => session.person?.id ?? 'nobody');
  const own = computed((): Own => kept.value[who.value] ?? {});
  const units = computed((): UnitSystem => own.value.units ?? session.units);
  const look = computed((): Look => own.value.look ?? 'dusk');

  function keep(change: Own): void {
    kept.value = { ...kept.value, [who.value]: { ...own.value, ...change } };
  }
  const switchUnits = () => keep({ units: units.value === 'US' ? 'SI' : 'US' });
  const switchLook = () => keep({ look: look.value === 'dusk' ? 'daylight' : 'dusk' });
  const show = (q: Quantity) => format(q, units.value);
  const parts = (q: Quantity) => formatParts(q, units.value);
  /** As it is read off what is in the hand, in the marks that this has. */
  const read = (q: Quantity<'length' | 'torque' | 'gauge pressure'>, on: ReadOn, by?: Mark) =>
    asRead(q, on, units.value, by);
  /** Words with quantities in them, in this person's units. */
  const tell = (words: Phrase) => say(words, units.value);
  return { units, look, switchUnits, switchLook, show, read, parts, tell };
});
