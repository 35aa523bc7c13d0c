<script setup lang="ts">
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { canListen, useGaugePort } from '../stores/gauge-port';
import { useJob } from '../stores/job';

/** The serial line that a gauge sends its readings over, where this browser has any and some gauge here sends lines. */
const job = useJob();
const port = useGaugePort();
const some = computed(() => job.instruments.some((each) => each.lines !== undefined));
</script>

<template>
  <div v-if="some && canListen()" class="port">
    <p v-if="port.wrong" class="problem" role="alert">{{ port.wrong }}</p>
    <BenchButton v-if="port.isOpen" @press="port.shut">Leave the gauge’s line</BenchButton>
    <template v-else>
      <BenchButton @press="port.open">Listen to a gauge on a serial line</BenchButton>
      <label class="label"
        >Speed
        <select v-model.number="port.speed" class="plain-field">
          <option v-for="each in port.speeds" :key="each" :value="each">{{ each }}</option>
        </select></label
      >
    </template>
  </div>
</template>

<style scoped>
.port {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
</style>
