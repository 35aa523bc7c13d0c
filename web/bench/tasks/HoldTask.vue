<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/procedure';
import { computed } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import ContactRing from '../../parts/ContactRing.vue';
import { useJob } from '../../stores/job';
import { useSession } from '../../stores/session';

/** A hold: released by an inspector who did none of the work, with nothing left to decide. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'hold'> }>();
const job = useJob();
const session = useSession();
const asks = computed(() =>
  [...(job.planned?.calls.values() ?? [])].filter(({ verdict }) => verdict === 'ask'),
);
const inspector = computed(() => session.person?.role === 'inspector');
const release = () => job.act({ kind: 'release-hold', body: { step: props.step.id } });
useKeys([{ key: 'enter', label: 'Release the hold', run: release, when: () => inspector.value }]);
</script>

<template>
  <div class="hold">
    <p class="ask label"><ContactRing verdict="ask" :size="24" /> To be seen: {{ task.witness }}</p>
    <ul v-if="asks.length > 0">
      <li v-for="call in asks" :key="call.part" class="problem">
        {{ call.part }}: {{ call.reason }}. A lead or an inspector decides it in the parts list.
      </li>
    </ul>
    <BenchButton v-if="inspector" lamp hint="enter" :disabled="asks.length > 0" @press="release"
      >I have seen it: release the hold</BenchButton
    >
    <p v-else>
      It takes an inspector who did none of this work. Work that does not need this hold can go on meanwhile.
    </p>
  </div>
</template>

<style scoped>
.hold {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.ask {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 19px;
  font-weight: 600;
}
</style>
