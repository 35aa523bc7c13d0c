<script setup lang="ts">
import { mdiAlert, mdiShieldCheckOutline } from '@mdi/js';
import { mediumHazard } from '@dusk-wren/core/workings';
import { computed } from 'vue';

/** What it does, and against each what guards: two columns to be read across the bench. */
const props = defineProps<{ raw: Record<string, unknown> }>();
const found = computed(() => {
  const read = mediumHazard.input.safeParse(props.raw);
  const worked = read.success ? mediumHazard.work(read.data) : undefined;
  return worked?.ok ? worked.value.result : undefined;
});
</script>

<template>
  <div v-if="found" class="hazards label" role="img" aria-label="Hazards and guards">
    <ul>
      <li v-for="each in found.hazards" :key="each">
        <svg viewBox="0 0 24 24" width="28" height="28"><path :d="mdiAlert" fill="var(--hazard)" /></svg>
        {{ each }}
      </li>
    </ul>
    <ul>
      <li v-for="each in found.guards" :key="each">
        <svg viewBox="0 0 24 24" width="28" height="28">
          <path :d="mdiShieldCheckOutline" fill="var(--fit)" />
        </svg>
        {{ each }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.hazards {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 8px 18px;
  font-size: 17px;
  font-weight: 600;
}
ul {
  display: grid;
  gap: 8px;
  align-content: start;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
}
svg {
  flex: none;
}
</style>
