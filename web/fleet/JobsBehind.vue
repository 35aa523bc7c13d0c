<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';
import { sayDay, sayMinutes } from '../parts/dates';
import { useBehind, type Behind } from './fleet';

/** The jobs that a figure is made of. */
const props = defineProps<{ narrowed: string; behind: Behind }>();
const { data, error, cursor } = useBehind(
  () => props.narrowed,
  () => props.behind,
);
</script>

<template>
  <section class="behind row-flat" :aria-label="`Jobs behind it: ${behind.words}`">
    <h2>{{ behind.words }}</h2>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <ol v-if="data">
      <li v-for="job in data.jobs" :key="job.job">
        <router-link class="way" :to="`/jobs/${job.job}`">{{ sayDay(job.signed) }}</router-link>
        <span>
          <router-link class="way" :to="`/valves/${job.valve}`">{{ job.tag }}</router-link>
          {{ job.reported }}
          <span class="label muted"
            >{{ [job.cause, job.found && `found ${job.found}`, job.why].filter(Boolean).join(' · ') }}
            {{ sayMinutes(job.minutes) }}</span
          >
        </span>
      </li>
    </ol>
    <BenchButton v-if="data?.next" @press="cursor = data.next">Earlier jobs</BenchButton>
  </section>
</template>

<style scoped>
.behind {
  padding: 12px 14px;
}
li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 2px 12px;
  align-items: center;
  border-top: 1px solid var(--line);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
