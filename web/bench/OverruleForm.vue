<script setup lang="ts">
import { METHODS, VERDICTS, type Call, type Method, type Verdict } from '@dusk-wren/core/inspection';
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** Overruling a call: another verdict, and a reason that stays in the log with a name. */
const props = defineProps<{ call: Call; before?: () => boolean }>();
const emit = defineEmits<{ close: [] }>();
const job = useJob();
const verdict = ref<Verdict>('fit');
const method = ref<Method>('grind in');
const reason = ref('');
function overrule(): void {
  if (reason.value.trim().length < 3) return;
  if (props.before && !props.before()) return;
  const body = {
    part: props.call.part,
    verdict: verdict.value,
    reason: reason.value,
    ...(verdict.value === 'rework' ? { method: method.value } : {}),
  };
  if (job.act({ kind: 'overrule-call', body })) emit('close');
}
</script>

<template>
  <form class="overrule" @submit.prevent="overrule">
    <h3>Overrule: the {{ call.part }} was called “{{ call.verdict }}”</h3>
    <div class="fields">
      <v-select v-model="verdict" :items="[...VERDICTS]" label="Your call" />
      <v-select v-if="verdict === 'rework'" v-model="method" :items="[...METHODS]" label="How" />
    </div>
    <v-textarea v-model="reason" label="Why (it is kept with your name)" maxlength="400" autofocus />
    <div class="buttons">
      <BenchButton lamp kind="submit" :disabled="reason.trim().length < 3">Overrule</BenchButton>
      <BenchButton @press="$emit('close')">Leave it</BenchButton>
    </div>
  </form>
</template>

<style scoped>
.overrule {
  display: grid;
  gap: 12px;
}
.buttons {
  display: flex;
  gap: 10px;
}
</style>
