import type { RegisteredWorking } from '@dusk-wren/core/workings';
import { onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import { faultOf } from '../stores/fault';
import { usePreferences } from '../stores/preferences';
import { figuresFromJob, saidOfFill } from './from-job';
import type { Typed } from './given';

/** A working that was opened from a job: filled from it, and kept with it by one press. */
export function useOpenedFromJob(working: () => RegisteredWorking | undefined, fill: (known: Typed) => void) {
  const { job } = useRoute().query;
  const preferences = usePreferences();
  const id = typeof job === 'string' ? job : undefined;
  const from = ref<{ readonly id: string; readonly tag: string }>();
  /** What was filled in, or why nothing was, in words. */
  const said = ref('');
  /** Until its job is read, nothing can be kept with another one by a hand that is too quick. */
  const isOpening = ref(id !== undefined && working() !== undefined);
  onMounted(async () => {
    const opened = working();
    if (id === undefined || !opened) return;
    try {
      const known = await figuresFromJob(id, opened, preferences.units);
      from.value = { id, tag: known.tag };
      said.value = saidOfFill(known);
      fill(known.figures);
    } catch (error) {
      said.value = faultOf(error);
    } finally {
      isOpening.value = false;
    }
  });
  return { id, from, said, isOpening };
}
