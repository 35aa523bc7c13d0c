<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/procedure';
import { computed } from 'vue';
import { sayTime } from '../../app/dates';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { useJob } from '../../stores/job';
import { useSession } from '../../stores/session';

/** Two signatures: who did it and who checked it. The second one signs on a screen of their own. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'sign-off'> }>();
const job = useJob();
const session = useSession();
const sides = computed(() =>
  (['done', 'checked'] as const).map((side) => ({
    side,
    words: props.task[side],
    entry: job.state?.records['isolation-signed'].find(
      ({ body }) => body.step.id === props.step.id && body.side === side,
    ),
  })),
);
const signedHere = computed(() => sides.value.some(({ entry }) => entry?.by.id === session.person?.id));
const sign = (side: 'done' | 'checked') =>
  job.act({ kind: 'sign-isolation', body: { step: props.step.id, side } });
</script>

<template>
  <div class="signing">
    <p class="label">
      <router-link :to="`/jobs/${job.id}/isolation`">Read the sheet before you sign</router-link>
    </p>
    <div v-for="each in sides" :key="each.side" class="side">
      <ContactRing :verdict="each.entry ? 'fit' : 'not yet'" :size="24" />
      <b class="label">{{ each.words }}</b>
      <span v-if="each.entry" class="label">{{ each.entry.by.name }}, {{ sayTime(each.entry.at) }}</span>
      <span v-else-if="signedHere" class="muted">a second person signs here</span>
      <BenchButton v-else :lamp="each.side === 'done'" @press="sign(each.side)">Sign</BenchButton>
    </div>
  </div>
</template>

<style scoped>
.signing {
  display: grid;
  gap: 10px;
}
.side {
  display: grid;
  grid-template-columns: auto minmax(0, 260px) 1fr;
  justify-items: start;
  gap: 12px;
  align-items: center;
  min-height: var(--touch);
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
</style>
