import { opensNext, type OnTheRig, type SetIt } from '@dusk-wren/core/drill';
import { psig, valueIn, type GaugePressure } from '@dusk-wren/core/quantity';
import { useRafFn } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';

/** Seconds to nine tenths of what it is set to; slowly from there, as whoever stands at a rig does. */
const RISE = 4;
const SLOWLY_FROM = 0.9;
const SLOWLY = 1 / 4;
/** Far past where whoever pumps should have held it, the rig lets go by itself. */
const RIG_STOPS_AT = 1.6;

/** A pump that runs until it is held, or the valve pops; `held` has the pressure that it was pumped to. */
export function usePump(exercise: SetIt, at: () => OnTheRig, held: (to: GaugePressure) => void) {
  const psi = ref(0);
  const samples = shallowRef<readonly (readonly [seconds: number, psi: number])[]>([]);
  let seconds = 0;
  const { isActive, pause, resume } = useRafFn(
    ({ delta }) => {
      const aim = exercise.coldSet.value;
      // A page that was away for a while pumps on from where it was.
      const dt = Math.min(delta, 100) / 1000;
      seconds += dt;
      const rate = ((SLOWLY_FROM * aim) / RISE) * (psi.value < SLOWLY_FROM * aim ? 1 : SLOWLY);
      psi.value += rate * dt;
      samples.value = [...samples.value, [seconds, psi.value]];
      const opens = opensNext(exercise, at());
      if ((opens && psi.value >= opens.value) || psi.value >= RIG_STOPS_AT * aim) stop();
    },
    { immediate: false },
  );
  function start(): void {
    psi.value = valueIn(at().pressure, 'psig');
    [samples.value, seconds] = [[[0, psi.value]], 0];
    resume();
  }
  function stop(): void {
    pause();
    held(psig(psi.value));
    // What it fell to, at once, where it popped.
    const now = valueIn(at().pressure, 'psig');
    samples.value = [...samples.value, [seconds + 0.05, now], [seconds + 1, now]];
  }
  return {
    pumping: isActive,
    now: computed(() => (isActive.value ? psig(psi.value) : at().pressure)),
    samples,
    span: computed(() => Math.max(8, Math.ceil(samples.value.at(-1)?.[0] ?? 0))),
    press: () => (isActive.value ? stop() : start()),
  };
}
