<script setup lang="ts">
import { formatExactly, formatNumber, psig, type Length } from '@dusk-wren/core/quantity';
import { SIGNAL_RANGES, signalAt, signalOf, type Details } from '@dusk-wren/core/valve';
import { computed } from 'vue';
import StrokeScale from '../../charts/StrokeScale.vue';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { usePreferences } from '../../stores/preferences';
import InstrumentPick from '../InstrumentPick.vue';
import SupplyCock from './SupplyCock.vue';
import './live-reading.css';
import { useRatedTravel } from './use-rated-travel';
import type { StrokeBench } from './use-stroke-bench';

/** Gauges, travel and signal of a valve that is stroked; its signal is put in by the points asked for. */
const props = defineProps<{ bench: StrokeBench; at: readonly number[]; busy?: boolean }>();
const { parts, show } = usePreferences();
const rated = useRatedTravel();
const ofRated = (length: Length): Length => ({
  dimension: length.dimension,
  value: Math.round(length.value * (now.value?.travelPercent ?? 0) * 10) / 1000,
  unit: length.unit,
});
const job = useJob();
const signal = computed(() => signalOf(job.planned?.valve ?? {}));
const put = (percent: number) => formatExactly(signalAt(job.planned?.valve ?? {}, percent));
/** What its plate did not say, or said otherwise. */
const learn = (details: Details) => job.act({ kind: 'identify-valve', body: { details } });
const now = computed(() => props.bench.now.value);
const gauges = computed(() => {
  const read = now.value;
  if (!read) return [];
  const both = read.otherPsig !== undefined;
  return [
    { name: 'supply', psig: read.supplyPsig },
    { name: both ? 'cylinder, bottom' : 'actuator', psig: read.drivenPsig },
    ...(read.otherPsig === undefined ? [] : [{ name: 'cylinder, top', psig: read.otherPsig }]),
  ].map(({ name, psig: reads }) => ({ name, ...parts(psig(reads)) }));
});
</script>

<template>
  <div class="bench-air">
    <InstrumentPick
      v-if="!now || bench.trouble.value !== ''"
      :model-value="bench.picked.value"
      :choices="bench.choices.value"
      :instrument="bench.instrument.value"
      :trouble="bench.trouble.value"
      @update:model-value="bench.pick"
    />
    <div v-if="now" class="live">
      <StrokeScale :travel="now.travelPercent" :wanted="bench.signal.value" />
      <dl class="gauges" aria-live="off">
        <div>
          <dt class="label">travel</dt>
          <dd class="live-reading number">{{ formatNumber(now.travelPercent, 1) }} <small>%</small></dd>
          <dd v-if="rated" class="number">{{ show(ofRated(rated)) }}</dd>
        </div>
        <div v-for="{ name, number, unit } in gauges" :key="name">
          <dt class="label">{{ name }}</dt>
          <dd class="number">{{ number }} {{ unit }}</dd>
        </div>
        <div>
          <dt class="label">signal</dt>
          <dd class="number">{{ put(bench.signal.value) }}</dd>
        </div>
      </dl>
      <div class="points" role="group" aria-label="Signal">
        <BenchButton
          v-for="percent in at"
          :key="percent"
          :aria-pressed="bench.signal.value === percent"
          :disabled="busy ?? false"
          @press="bench.put(percent)"
          >{{ put(percent) }} in</BenchButton
        >
        <p class="label stands" role="status">
          {{
            bench.hunts.value !== undefined
              ? 'It hunts.'
              : bench.stands.value === undefined
                ? 'Moving: read once it stands.'
                : 'It stands.'
          }}
        </p>
        <v-select
          class="range"
          label="Range of the signal"
          :model-value="signal.range"
          :items="SIGNAL_RANGES"
          @update:model-value="learn({ signal: $event })"
        />
        <BenchButton
          :aria-pressed="signal.acting === 'reverse'"
          @press="learn({ acting: signal.acting === 'reverse' ? 'direct' : 'reverse' })"
          >Reverse acting</BenchButton
        >
      </div>
    </div>
    <slot />
    <details v-if="now">
      <summary class="label">The supply: regulator and vent</summary>
      <SupplyCock :bench="bench" />
    </details>
  </div>
</template>

<style scoped>
.bench-air {
  display: grid;
  gap: 10px;
}
.live {
  display: grid;
  grid-template-columns: auto 276px minmax(180px, 1fr);
  gap: 10px 18px;
}
.gauges {
  display: grid;
  gap: 4px 18px;
  align-content: start;
  margin: 0;
}
.gauges div {
  display: flex;
  gap: 10px;
  align-items: baseline;
}
.gauges dt {
  min-width: 6em;
}
.stands {
  flex: 1 0 100%;
  color: var(--muted);
}
.points {
  display: flex;
  flex: 1 1 240px;
  flex-wrap: wrap;
  gap: 8px;
  align-content: start;
  align-items: start;
}
.range {
  flex: 1 0 190px;
}
@media (max-width: 700px) {
  .live {
    grid-template-columns: auto 1fr;
  }
  .points {
    grid-column: 1 / -1;
  }
  .gauges div {
    flex-wrap: wrap;
    gap: 0 8px;
  }
}
summary {
  min-height: var(--touch);
  align-content: center;
}
</style>
