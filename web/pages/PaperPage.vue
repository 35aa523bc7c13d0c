<script setup lang="ts">
import { paperView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import ContactRing from '../parts/ContactRing.vue';
import { sayDay, sayTime } from '../parts/dates';
import { faultOf } from '../stores/fault';

/** A printed paper held against its record: does it still say the same? */
const props = defineProps<{ code?: string }>();
const router = useRouter();
const typed = ref(props.code ?? '');
watch(
  () => props.code,
  (code) => (typed.value = code ?? ''),
);
const asked = computed(() => props.code ?? '');
const { data: paper, error } = useQuery({
  key: () => ['paper', asked.value],
  query: () => call(`/papers/${encodeURIComponent(asked.value)}`, paperView),
  enabled: () => asked.value !== '',
});
const look = () => {
  const code = typed.value.trim();
  if (code) void router.push(`/papers/${encodeURIComponent(code)}`);
};
const SAYS = {
  same: 'Its record says the same as when it was signed.',
  'signed again': 'It was signed again since: a later paper is the one that counts.',
  struck: 'Its signature was struck since: this paper no longer counts.',
} as const;
</script>

<template>
  <div class="page verify">
    <h1>Does a paper still say what its record says?</h1>
    <form class="ask" @submit.prevent="look">
      <v-text-field v-model="typed" label="Code on the paper" maxlength="60" autocomplete="off" />
      <BenchButton kind="submit" :lamp="!paper" :disabled="typed.trim() === ''">Look</BenchButton>
    </form>
    <p v-if="asked && error" class="problem" role="alert">
      <ContactRing verdict="ask" /> {{ faultOf(error) }} Do not go by this paper: ask who signed it.
    </p>
    <section v-else-if="asked && paper" class="found" role="status">
      <p class="says" :class="paper.standing === 'same' ? 'fit' : 'rework'">
        <ContactRing :verdict="paper.standing === 'same' ? 'fit' : 'rework'" :size="28" />
        {{ SAYS[paper.standing] }}
      </p>
      <p>
        <b>{{ paper.tag }}</b>, signed by {{ paper.signed.by }}, {{ paper.signed.role }},
        {{ sayDay(paper.signed.at) }} {{ sayTime(paper.signed.at) }}.
      </p>
      <p v-if="paper.since > 0" class="muted">
        {{ paper.since }} {{ paper.since === 1 ? 'entry' : 'entries' }} since,
        {{ paper.corrected === 0 ? 'none of them a correction' : `${paper.corrected} of them corrections` }}.
      </p>
      <router-link class="way" :to="`/jobs/${paper.job}/certificate`">Open its certificate</router-link>
    </section>
  </div>
</template>

<style scoped>
.verify {
  display: grid;
  gap: 14px;
  max-width: 760px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: start;
}
.ask > :first-child {
  flex: 1 1 280px;
}
.found {
  display: grid;
  gap: 8px;
}
.says {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 20px;
  font-weight: 600;
}
</style>
