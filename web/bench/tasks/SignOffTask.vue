<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import { sayMoment } from '../../parts/dates';
import ContactRing from '../../parts/ContactRing.vue';
import SignPress from '../SignPress.vue';
import { useJob } from '../../stores/job';

/** Two signatures: who did it and who checked it. The second one signs here or on a screen of their own. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'sign-off'> }>();
const job = useJob();
const sides = computed(() =>
  (['done', 'checked'] as const).map((side) => ({
    side,
    words: props.task[side],
    entry: props.step.signing?.signed.find(({ body }) => body.side === side),
  })),
);
const sign = (side: 'done' | 'checked') => ({
  kind: 'sign-isolation' as const,
  body: { step: props.step.id, side },
});
</script>

<template>
  <div class="signing">
    <p class="label">
      <router-link :to="`/jobs/${job.id}/isolation`">Read the sheet before you sign</router-link>. Whoever
      checks has hung no lock and read no zero here.
    </p>
    <div v-for="each in sides" :key="each.side" class="side">
      <ContactRing :verdict="each.entry ? 'fit' : 'not yet'" :size="24" />
      <b class="label">{{ each.words }}</b>
      <span v-if="each.entry" class="label">{{ each.entry.by.name }}, {{ sayMoment(each.entry.at) }}</span>
      <SignPress v-else :lamp="each.side === 'done'" :command="sign(each.side)">Sign</SignPress>
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
@media (max-width: 700px) {
  .side {
    grid-template-columns: auto 1fr;
  }
  .side > :nth-child(3) {
    grid-column: 1 / -1;
  }
}
</style>
