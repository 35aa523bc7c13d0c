<script setup lang="ts">
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import ContactRing from '../../parts/ContactRing.vue';
import HoldEvidence from '../HoldEvidence.vue';
import SignPress from '../SignPress.vue';
import { useJob } from '../../stores/job';
import StepBar from '../StepBar.vue';
import { useSession } from '../../stores/session';

/** A hold: released by an inspector who did none of the work, with nothing left to decide. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'hold'> }>();
const job = useJob();
const session = useSession();
const asks = computed(() =>
  [...(job.planned?.calls.values() ?? [])].filter(({ verdict }) => verdict === 'ask'),
);
const inspector = computed(() => session.person?.role === 'inspector');
const release = computed(() => ({ kind: 'release-hold' as const, body: { step: props.step.id } }));
</script>

<template>
  <div class="hold">
    <p class="ask label"><ContactRing verdict="ask" :size="24" /> To be seen: {{ task.witness }}</p>
    <p v-if="asks.length > 0" class="problem">
      Not decided yet: {{ asks.map(({ part }) => part).join(', ') }}. A lead or an inspector decides it in the
      parts list.
    </p>
    <HoldEvidence />
    <StepBar
      ><SignPress :lamp="inspector" :command="release">I have seen it: release the hold</SignPress></StepBar
    >
    <p v-if="!inspector">
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
