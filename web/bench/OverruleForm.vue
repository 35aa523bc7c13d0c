<script setup lang="ts">
import { METHODS, VERDICTS, type Call, type Method, type Verdict } from '@dusk-wren/core/inspection';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** Overruling a call: another verdict, and a reason that stays in the log with a name. */
const props = defineProps<{ call: Call; before?: () => boolean }>();
const emit = defineEmits<{ close: [] }>();
const job = useJob();
const verdict = ref<Verdict | null>(null);
const method = ref<Method | null>(null);
/** What nobody was sure of is decided; what was called is overruled. */
const deciding = computed(() => props.call.verdict === 'ask');
const lacking = computed(() => {
  if (verdict.value === null) return 'choose your call';
  if (verdict.value === 'rework' && method.value === null) return 'choose how';
  return reason.value.trim().length < 3 ? 'say why' : '';
});
const reason = ref('');
function overrule(): void {
  if (lacking.value !== '' || verdict.value === null) return;
  if (props.before && !props.before()) return;
  const body = {
    part: props.call.part,
    verdict: verdict.value,
    reason: reason.value,
    ...(verdict.value === 'rework' && method.value ? { method: method.value } : {}),
  };
  if (job.act({ kind: 'overrule-call', body })) emit('close');
}
</script>

<template>
  <form class="overrule" @submit.prevent="overrule" @keydown.escape.stop="$emit('close')">
    <h3 v-if="deciding">Decide: somebody was not sure of the {{ call.part }}</h3>
    <h3 v-else>Overrule: the {{ call.part }} was called “{{ call.verdict }}”</h3>
    <div class="fields">
      <v-select
        v-model="verdict"
        :items="VERDICTS.filter((each) => each !== call.verdict)"
        label="Your call"
      />
      <v-select v-if="verdict === 'rework'" v-model="method" :items="[...METHODS]" label="How" />
    </div>
    <v-textarea v-model="reason" label="Why (it is kept with your name)" maxlength="400" autofocus />
    <div class="buttons">
      <BenchButton lamp kind="submit" :disabled="lacking !== ''" :lacking="lacking">{{
        deciding ? 'Decide' : 'Overrule'
      }}</BenchButton>
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
