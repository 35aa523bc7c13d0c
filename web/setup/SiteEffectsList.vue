<script setup lang="ts">
import type { SiteEffects } from '@dusk-wren/contract';
import { capital } from '@dusk-wren/core/quantity';
import { computed } from 'vue';

/** What other rules would make of the open jobs: they keep those that they were opened under. */
const props = defineProps<{ effects: SiteEffects }>();
type Job = SiteEffects['jobs'][number];
const lines = ({ calls, more, fewer, other }: Job): string[] => [
  ...calls.map(({ part, is, would }) => `${part}: ${would} instead of ${is}`),
  ...more.map((title) => `besides: ${title}`),
  ...fewer.map((title) => `not: ${title}`),
  ...other.map((title) => `otherwise: ${title}`),
];
/** Jobs that would stand otherwise in the same way stand together. */
const alike = computed(() => {
  const groups = new Map<string, { jobs: Job[]; lines: string[] }>();
  for (const job of props.effects.jobs) {
    const key = lines(job).join('\n');
    const group = groups.get(key) ?? { jobs: [], lines: lines(job) };
    group.jobs.push(job);
    groups.set(key, group);
  }
  return [...groups].map(([key, group]) => ({ key, ...group }));
});
</script>

<template>
  <section class="effects" aria-label="What it would change">
    <p>
      <b
        >{{ effects.jobs.length }} of {{ effects.looked }} open jobs would stand otherwise. Each keeps the
        rules that it was opened under.</b
      >
    </p>
    <div v-for="group in alike" :key="group.key" class="alike">
      <ul class="label">
        <li v-for="line in group.lines" :key="line">{{ capital(line) }}</li>
      </ul>
      <p class="jobs">
        <router-link v-for="job in group.jobs" :key="job.job" class="way" :to="`/jobs/${job.job}`">{{
          job.tag
        }}</router-link>
      </p>
    </div>
  </section>
</template>

<style scoped>
.effects {
  display: grid;
  gap: 8px;
}
ul {
  padding: 0 0 0 18px;
  margin: 0;
}
.alike {
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.jobs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
</style>
