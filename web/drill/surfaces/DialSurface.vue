<script setup lang="ts">
import { dialAt, DIVISION, STEM_CALLS, straightOrBent, type StemCall } from '@dusk-wren/core/drill';
import type { Quantity } from '@dusk-wren/core/quantity';
import { computed, ref } from 'vue';
import DialGauge from '../../charts/DialGauge.vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import QuantityField from '../../parts/QuantityField.vue';
import { usePreferences } from '../../stores/preferences';
import { useBench } from '../sitting';

/** A stem on V-blocks under a dial, turned by hand: what it reads, where it is highest, and whether it may stay. */
const { exercise, over, play } = useBench(straightOrBent);
const { show, read } = usePreferences();
const ROUND = 20;
const turned = ref(0);
const reads = computed(() => dialAt(exercise, turned.value).value);
const tir = ref<Quantity<'length'>>();
const high = ref<number>();
const call = ref<StemCall>();
const WORDS: Readonly<Record<StemCall, string>> = { fit: 'Fit', renew: 'Bent: renew' };
const calls = STEM_CALLS.map((value) => ({ value, label: WORDS[value] }));
const lacking = computed(() =>
  !tir.value ? 'the runout' : high.value === undefined ? 'the high spot' : !call.value ? 'the call' : '',
);
function tell(): void {
  if (tir.value && high.value !== undefined && call.value)
    play({ do: 'say', tir: tir.value, high: high.value, call: call.value });
}
</script>

<template>
  <div class="bent">
    <DialGauge :reads="reads" :division="DIVISION.value" :round="ROUND" />
    <div class="side">
      <p class="label">
        Each division is {{ read(DIVISION, 'dial') }}; the {{ exercise.part }} may run out by
        {{ show(exercise.limit) }}.
      </p>
      <label class="label turn"
        >Turn the {{ exercise.part }}: <b class="number">{{ turned }}°</b>
        <input
          v-model.number="turned"
          type="range"
          min="0"
          max="359"
          step="1"
          :aria-valuetext="`${turned} degrees`"
        />
      </label>
      <QuantityField
        v-model="tir"
        class="tir"
        label="Runout, lowest to highest"
        dimension="length"
        example="3 thou"
      />
      <div class="high">
        <BenchButton :disabled="over" @press="high = turned">The high spot is here</BenchButton>
        <span class="number">{{ high === undefined ? '' : `at ${high}°` }}</span>
      </div>
      <ChoiceRow label="The call" :options="calls" :picked="call" @pick="call = $event" />
      <BenchButton lamp :disabled="over || lacking !== ''" :lacking="lacking" @press="tell"
        >That is what I read</BenchButton
      >
    </div>
  </div>
</template>

<style scoped>
.bent {
  display: grid;
  grid-template-columns: minmax(0, 300px) minmax(0, 460px);
  gap: 18px 30px;
  align-items: start;
}
.side {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.turn {
  width: 100%;
}
.tir {
  width: min(100%, 320px);
}
input[type='range'] {
  width: 100%;
  accent-color: var(--blue);
}
.high {
  display: flex;
  gap: 12px;
  align-items: center;
}
@media (max-width: 760px) {
  .bent {
    grid-template-columns: minmax(0, 1fr);
    justify-items: center;
  }
  .side {
    width: 100%;
  }
}
</style>
