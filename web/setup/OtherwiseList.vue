<script setup lang="ts">
import { wordCompared } from '@dusk-wren/core/plan';
import { computed } from 'vue';

/** A job with what would stand otherwise on it. */
type Job = { readonly job: string; readonly tag: string } & Parameters<typeof wordCompared>[0];

/** Jobs that would stand otherwise, those alike together, and how. */
const props = defineProps<{ jobs: readonly Job[] }>();
/** Jobs that would stand otherwise in the same way stand together. */
const alike = computed(() => {
  const groups = new Map<string, { jobs: Job[]; lines: string[] }>();
  for (const job of props.jobs) {
    const lines = wordCompared(job);
    const key = lines.join('\n');
    const group = groups.get(key) ?? { jobs: [], lines };
    group.jobs.push(job);
    groups.set(key, group);
  }
  return [...groups].map(([key, group]) => ({ key, ...group }));
});
</script>

<template>
  <section class="effects" aria-label="What it would change">
    <slot />
    <div v-for="group in alike" :key="group.key" class="alike">
      <ul class="label">
        <li v-for="line in group.lines" :key="line">{{ line }}</li>
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
