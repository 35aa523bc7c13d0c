import { preferredUnit, psig, valueIn, type GaugePressure } from '@dusk-wren/core/quantity';
import { computed, shallowRef } from 'vue';
import { usePreferences } from '../../stores/preferences';
import { useReadings } from '../use-readings';

/** Pressure as a test rig reads it, over time: its samples, and the points that are drawn, in the reader’s unit. */
export function usePressureOnRig(step: () => string, aim: () => GaugePressure) {
  const preferences = usePreferences();
  const samples = shallowRef<readonly { readonly seconds: number; readonly psig: number }[]>([]);
  const readings = useReadings(
    'test rig',
    () => ({ step: step() }),
    (reading) => {
      if (reading.kind === 'pressure') samples.value = [...samples.value, reading];
    },
  );
  /** From the beginning. */
  function run(): void {
    samples.value = [];
    readings.start();
  }
  const now = computed(() => samples.value.at(-1));
  const unit = computed(() => preferredUnit(aim(), preferences.units));
  const points = computed(() =>
    samples.value.map(({ seconds, psig: at }) => [seconds, valueIn(psig(at), unit.value)] as const),
  );
  return { ...readings, samples, run, now, unit, points };
}
