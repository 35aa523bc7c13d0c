import type { PlacingView, WeekView } from '@dusk-wren/contract/week';
import { proxy, wrap } from 'comlink';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { faultOf } from '../stores/fault';
import type { Bettered, WeekPlanner } from '../workers/week.worker';

/** A solver in a worker of its own: who has enough of it ends the worker, and has the best that it said. */
export function useBettering() {
  const best = shallowRef<Bettered>();
  const isLooking = ref(false);
  const isOver = ref(false);
  const wrong = ref('');
  let worker: Worker | undefined;

  async function look(week: WeekView['week'], plan: readonly PlacingView[], seconds: number): Promise<void> {
    forget();
    isLooking.value = true;
    const mine = new Worker(new URL('../workers/week.worker.ts', import.meta.url), { type: 'module' });
    worker = mine;
    const planner = wrap<WeekPlanner>(mine);
    const heard = proxy((found: Bettered) => {
      if (worker === mine) best.value = found;
    });
    try {
      const found = await planner.better(week, plan, seconds, heard);
      if (worker === mine && found) best.value = found;
    } catch (error) {
      if (worker === mine) wrong.value = faultOf(error);
    }
    if (worker === mine) stop();
  }
  function stop(): void {
    worker?.terminate();
    worker = undefined;
    if (isLooking.value) isOver.value = true;
    isLooking.value = false;
  }
  function forget(): void {
    stop();
    [best.value, isOver.value, wrong.value] = [undefined, false, ''];
  }
  onBeforeUnmount(stop);
  return { best, isLooking, isOver, wrong, look, stop, forget };
}
