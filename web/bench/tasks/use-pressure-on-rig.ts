import { thinned } from '@dusk-wren/core/analysis';
import { preferredUnit, psig, valueIn, type GaugePressure } from '@dusk-wren/core/quantity';
import { computed, shallowRef } from 'vue';
import { usePreferences } from '../../stores/preferences';
import { MOST_DRAWN, type PressureSample } from '../recordings/pressure-of-file';
import { useReadings } from '../use-readings';

/** Pressure as a test rig reads it, over time: its samples, and the points that are drawn, in the reader’s unit. */
export function usePressureOnRig(step: () => string, aim: () => GaugePressure) {
  const preferences = usePreferences();
  const samples = shallowRef<readonly PressureSample[]>([]);
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
    thinned(
      samples.value.map((each) => each.psig),
      MOST_DRAWN,
    ).flatMap((i) => {
      const sample = samples.value[i];
      return sample ? [[sample.seconds, valueIn(psig(sample.psig), unit.value)] as const] : [];
    }),
  );
  return { ...readings, samples, run, now, unit, points };
}
