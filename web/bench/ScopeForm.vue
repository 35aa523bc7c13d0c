<script setup lang="ts">
import { SCOPE_WORDS, type Scope } from '@dusk-wren/core/job';
import { leftUnlooked } from '@dusk-wren/core/plan';
import { scopesOf } from '@dusk-wren/core/procedure';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** What the job is for; cut or widened with a reason, and what each choice leaves unlooked at. */
const job = useJob();
const now = computed(() => job.planned?.scope);
const others = computed(() =>
  job.planned ? scopesOf(job.planned.valve.features).filter((scope) => scope !== now.value) : [],
);
const wanted = ref<Scope>();
const reason = ref('');
const left = (scope: Scope) => (job.planned ? leftUnlooked(scope, job.planned.valve) : []);
const ready = computed(() => wanted.value !== undefined && reason.value.trim().length >= 3);

function change(): void {
  if (wanted.value === undefined) return;
  const body = { scope: wanted.value, reason: reason.value.trim() };
  if (!job.act({ kind: 'change-scope', body })) return;
  wanted.value = undefined;
  reason.value = '';
}
</script>

<template>
  <section v-if="now" class="scope">
    <p class="label">
      <b>What it is for:</b> {{ SCOPE_WORDS[now]
      }}<template v-if="left(now).length > 0">; not looked at: {{ left(now).join(', ') }}</template>
    </p>
    <form v-if="job.summary?.state === 'open'" class="other" @submit.prevent="change">
      <v-select
        v-model="wanted"
        label="For something else"
        :items="others.map((scope) => ({ title: SCOPE_WORDS[scope], value: scope }))"
        hide-details
      />
      <v-text-field v-model="reason" label="Why" maxlength="400" hide-details />
      <BenchButton kind="submit" :disabled="!ready">Cut the plan to it</BenchButton>
      <p v-if="wanted && left(wanted).length > 0" class="label wide">
        That leaves unlooked at: {{ left(wanted).join(', ') }}; it is on paper, with the day it is next due.
      </p>
    </form>
  </section>
</template>

<style scoped>
.scope {
  display: grid;
  gap: 8px;
}
.other {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.other > :deep(.v-input) {
  flex: 1 1 180px;
}
.wide {
  flex: 1 0 100%;
}
</style>
