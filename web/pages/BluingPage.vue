<script setup lang="ts">
import type { BluingPicture, Circle } from '@dusk-wren/core/analysis';
import { must } from '@dusk-wren/core/problem';
import { inches, parseQuantity, si, type Length } from '@dusk-wren/core/quantity';
import { contactFrom, findWorking } from '@dusk-wren/core/workings';
import { useObjectUrl } from '@vueuse/core';
import { wrap } from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import XyChart, { type XySeries } from '../charts/XyChart.vue';
import FileDrop from '../parts/FileDrop.vue';
import QuantityField from '../parts/QuantityField.vue';
import { usePreferences } from '../stores/preferences';
import type { BluingReader } from '../workers/bluing.worker';
import FileAnswer from '../workings/FileAnswer.vue';
import { useOpenedFromJob } from '../workings/opened-from-job';
import { useRecentWorkings } from '../workings/recent';
import WaysBack from '../workings/WaysBack.vue';
import SeatPhotograph from '../workings/SeatPhotograph.vue';

/** A photograph of a blued seat, dropped as a file: the ring found, its breaks marked, its width by angle. */
const preferences = usePreferences();
const recent = useRecentWorkings();
const worker = new Worker(new URL('../workers/bluing.worker.ts', import.meta.url), { type: 'module' });
const reader = wrap<BluingReader>(worker);
onBeforeUnmount(() => worker.terminate());

const working = must(findWorking('bluing.read'));
const file = shallowRef<File>();
const address = useObjectUrl(file);
const size = shallowRef<{ width: number; height: number }>();
const busy = ref(false);
const failed = ref('');
const reading = shallowRef<BluingPicture>();
const diameter = shallowRef<Length | undefined>(inches(3));

const { from, said } = useOpenedFromJob(
  () => working,
  (known) => {
    const seat = parseQuantity(known['diameter'] ?? '', 'length');
    if (seat.ok) diameter.value = seat.value;
  },
);

async function take(chosen: File): Promise<void> {
  busy.value = true;
  failed.value = '';
  reading.value = size.value = undefined;
  try {
    const opened = await reader.open(chosen);
    if (!opened) {
      failed.value = `“${chosen.name}” is no picture that can be read here. PNG or JPEG is.`;
      return;
    }
    file.value = chosen;
    size.value = opened;
    await look();
  } catch {
    failed.value = 'This picture could not be read.';
  } finally {
    busy.value = false;
  }
}
async function look(near?: Circle): Promise<void> {
  busy.value = true;
  failed.value = '';
  reading.value = await reader.read(near);
  busy.value = false;
  if (reading.value) recent.used('bluing.read');
  else
    failed.value =
      'No ring of blue is found. Drag a circle over it, from its centre outwards; or take the picture square on and sharper.';
}
const answer = computed(() =>
  reading.value && diameter.value ? contactFrom(reading.value, diameter.value) : undefined,
);
const shown = computed(
  () => answer.value && { ...answer.value, result: Object.fromEntries(Object.entries(answer.value.result)) },
);
const title = computed(() => `Blued seat from ${file.value?.name ?? 'a picture'}`);
const isHidden = (degrees: number) =>
  (reading.value?.hidden ?? []).some(({ from, degrees: length }) => (degrees - from + 360) % 360 < length);
const series = computed((): XySeries[] => {
  const current = reading.value;
  if (!current || !diameter.value) return [];
  const perMillimetre = preferences.units === 'US' ? 1000 / 25.4 : 1;
  const millimetres = (si(diameter.value) * 1000) / (2 * current.circle.radius);
  const points = Array.from(current.widths).flatMap((width, i): [number, number][] =>
    i % 4 === 0 && !isHidden((i * 360) / current.widths.length)
      ? [[(i * 12) / current.widths.length, width * millimetres * perMillimetre]]
      : [],
  );
  // What a glare hides is no break: it is left out of the line and drawn dull at its foot.
  const dull = current.hidden.map(({ from, degrees }): XySeries => ({
    name: 'hidden',
    points: [
      [from / 30, 0],
      [Math.min(12, (from + degrees) / 30), 0],
    ],
    colour: '--muted',
  }));
  return [{ name: 'width of the line', points, colour: '--blue' }, ...dull];
});
</script>

<template>
  <div class="page bluing-page">
    <WaysBack :from="from" />
    <header>
      <h1>Photograph of a blued seat</h1>
      <p>{{ working.meaning }} Square on, sharp, the lamp to one side; 12 o’clock up.</p>
      <p v-if="said" class="label muted" role="status">{{ said }}</p>
    </header>
    <FileDrop
      class="no-print"
      label="Drop a photograph here, PNG or JPEG. It stays on this machine."
      accept="image/png,image/jpeg"
      sample="/samples/blued-seat.jpg"
      sample-name="blued-seat.jpg"
      @file="take"
      @failed="failed = $event"
    />
    <p v-if="busy" class="label" role="status">Reading the picture…</p>
    <p v-if="failed" class="problem" role="alert">{{ failed }}</p>
    <div v-if="size && address" class="halves">
      <section class="row-flat part">
        <SeatPhotograph
          :address="address"
          :width="size.width"
          :height="size.height"
          :circle="reading?.circle"
          :gaps="reading?.gaps ?? []"
          :hidden="reading?.hidden ?? []"
          @circle="look"
        />
        <p class="muted no-print">
          Not the right ring? Drag a circle, from its centre outwards.
          <button type="button" class="link-button label" @click="look()">Find it again</button>
        </p>
      </section>
      <section class="row-flat part" aria-live="polite" aria-label="Answer">
        <QuantityField v-model="diameter" label="Seat diameter" dimension="length" example="3 in" />
        <FileAnswer v-if="shown" :title="title" :working="working" :answer="shown" :from="from">
          <XyChart
            :series="series"
            x="o’clock"
            :y="`width, ${preferences.units === 'US' ? 'thou' : 'mm'}`"
            label="Width of the line by angle"
            :height="210"
            :span="[0, 12]"
          />
        </FileAnswer>
      </section>
    </div>
  </div>
</template>

<style scoped>
.bluing-page {
  display: grid;
  gap: 10px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.part {
  padding: 16px;
  display: grid;
  gap: 12px;
  min-width: 0;
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
