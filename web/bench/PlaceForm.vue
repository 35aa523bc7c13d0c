<script setup lang="ts">
import { PLACE_WORDS, placeOf, type Place } from '@dusk-wren/core/job';
import { placesOf, reachedOutOfLine } from '@dusk-wren/core/procedure';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** Where the valve is worked on; another place wants its reason, and the plan follows. */
const job = useJob();
const now = computed(() => job.state && placeOf(job.state));
const others = computed(() =>
  job.planned
    ? placesOf(job.planned.valve.features, job.planned.scope).filter(
        (place) => place !== 'bare' && place !== now.value,
      )
    : [],
);
/** Why it is not offered to stay in its line. */
const leaves = computed(() => job.planned && reachedOutOfLine(job.planned.valve.features, job.planned.scope));
const reason = ref('');

function change(place: Place): void {
  const body = { place, reason: reason.value.trim() };
  if (job.act({ kind: 'change-place', body })) reason.value = '';
}
</script>

<template>
  <section v-if="now" class="place">
    <p class="label"><b>Where it is worked on:</b> {{ PLACE_WORDS[now] }}</p>
    <p v-if="leaves && now !== 'bare'" class="label">For this job it leaves its line: {{ leaves }}.</p>
    <form
      v-if="others.length > 0 && now !== 'bare' && job.summary?.state === 'open'"
      class="other"
      @submit.prevent
    >
      <v-text-field v-model="reason" label="Why elsewhere" maxlength="400" hide-details />
      <BenchButton
        v-for="place in others"
        :key="place"
        :disabled="reason.trim().length < 3"
        @press="change(place)"
        >{{ PLACE_WORDS[place] }}</BenchButton
      >
    </form>
  </section>
</template>

<style scoped>
.place {
  display: grid;
  gap: 8px;
}
.other {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.other > :first-child {
  flex: 1 1 220px;
}
</style>
