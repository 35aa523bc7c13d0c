<script setup lang="ts">
import { hangingLocks, nextNumber } from '@dusk-wren/core/job';
import type { PlannedStep } from '@dusk-wren/core/plan';
import type { TaskOf } from '@dusk-wren/core/task';
import { computed } from 'vue';
import { useKeys } from '../../keys/keys';
import BenchButton from '../../parts/BenchButton.vue';
import { useJob } from '../../stores/job';
import { useDraft } from '../../stores/drafts';
import StepBar from '../StepBar.vue';
import StepForm from '../StepForm.vue';
import { useSession } from '../../stores/session';

/** A lock and a tag of one's own on a point, or off again by the same hand. */
const props = defineProps<{ step: PlannedStep; task: TaskOf<'lock' | 'unlock'> }>();
const job = useJob();
const session = useSession();
const [lock, tag, reason] = [useDraft('lock'), useDraft('tag'), useDraft('reason')];
const hung = computed(() =>
  job.state ? hangingLocks(job.state).find(({ body }) => body.point === props.task.point) : undefined,
);
const own = computed(() => hung.value?.by.id === session.person?.id);

/** This person's last lock on the job: the next of its set is likely the one in the hand. */
const last = computed(() =>
  job.state?.records['lock-hung'].findLast(({ by }) => by.id === session.person?.id),
);
const next = computed(() => {
  const [nextLock, nextTag] = [last.value?.body.lock, last.value?.body.tag].map((each) =>
    nextNumber(each ?? ''),
  );
  return nextLock && nextTag ? { lock: nextLock, tag: nextTag } : undefined;
});
function takeNext(): void {
  if (next.value) [lock.value, tag.value] = [next.value.lock, next.value.tag];
}

const command = computed(() => {
  const step = props.step.id;
  if (props.task.kind === 'lock')
    return { kind: 'hang-lock' as const, body: { step, lock: lock.value.trim(), tag: tag.value.trim() } };
  const why = reason.value.trim();
  return { kind: 'remove-lock' as const, body: { step, ...(why ? { reason: why } : {}) } };
});
/** Why these numbers, or this reason, would be refused: once there is something to refuse. */
const refused = computed(() => {
  const typed = props.task.kind === 'lock' ? lock.value.trim() && tag.value.trim() : reason.value.trim();
  return typed ? job.refusal(command.value) : '';
});
const act = () => job.act(command.value);
useKeys([{ key: 'enter', label: 'Lock on or off', run: act }]);
</script>

<template>
  <StepForm class="lock" @send="act">
    <template v-if="task.kind === 'lock'">
      <v-text-field
        v-model="lock"
        label="Lock number"
        autocomplete="off"
        maxlength="20"
        :error-messages="refused"
      />
      <v-text-field v-model="tag" label="Tag number" autocomplete="off" maxlength="20" />
      <StepBar>
        <BenchButton
          lamp
          hint="enter"
          :disabled="!lock.trim() || !tag.trim()"
          lacking="lock and tag have a number"
          @press="act"
          >Shut, locked, tagged</BenchButton
        >
        <BenchButton v-if="next && !lock && !tag" @press="takeNext"
          >Lock {{ next.lock }}, tag {{ next.tag }}</BenchButton
        >
      </StepBar>
    </template>
    <template v-else-if="hung">
      <p class="label hangs">
        Lock {{ hung.body.lock }}, tag {{ hung.body.tag }}: {{ own ? 'yours' : hung.by.name }}
      </p>
      <v-text-field
        v-if="!own"
        v-model="reason"
        label="Why another takes it off (a lead only)"
        maxlength="400"
        :error-messages="refused"
      />
      <StepBar><BenchButton lamp hint="enter" @press="act">Lock off, done</BenchButton></StepBar>
    </template>
  </StepForm>
</template>

<style scoped>
.lock {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  align-items: start;
}
.hangs {
  font-size: 19px;
  font-weight: 600;
  align-self: center;
}
</style>
