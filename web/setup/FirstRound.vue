<script setup lang="ts">
import { SHOP_WANTS, shopBegun } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useTrying } from '../stores/trying';

type Want = (typeof SHOP_WANTS)[number];

/** What a new shop wants before its first valve: each one touch away, ticked when it is there, left when the lead says so. */
const props = defineProps<{ view: string }>();
const emit = defineEmits<{ turn: [view: Want] }>();
const WORDS: Readonly<Record<Want, readonly [string, string]>> = {
  shop: ['Name the shop', 'it stands on every page and paper, with the units that people begin with'],
  people: ['Add people', 'each signs in once with a code and chooses a PIN of their own'],
  places: ['Add places', 'benches, vices, lathe, wash and rigs, with the hours that they are open'],
  instruments: ['Add instruments', 'gauges, dials and wrenches, with the day that each is due'],
  sites: ['Add the first customer', 'by common practice until its site has rules of its own'],
  keeping: ['Set where back-ups go', 'whoever runs the server sets BACKUP_DIR (docs/running.md)'],
};
const { data, refetch } = useQuery({
  key: () => ['setup-begun'],
  query: () => call('/setup/begun', shopBegun),
});
// What was set up on one view is ticked when the next is turned to.
watch(
  () => props.view,
  () => void refetch(),
);
const missing = computed(() => SHOP_WANTS.filter((want) => !data.value?.has.includes(want)));
const isShown = computed(() => data.value !== undefined && !data.value.isOver && missing.value.length > 0);
const { wrong, trying } = useTrying();
const leave = () =>
  trying(async () => {
    await call('/setup/begun', shopBegun, { method: 'POST', body: {} });
    await refetch();
  });
</script>

<template>
  <section v-if="isShown" class="round" aria-label="Before the first valve">
    <h2>Before the first valve</h2>
    <ol>
      <li v-for="want in SHOP_WANTS" :key="want" :class="{ done: !missing.includes(want) }">
        <BenchButton v-if="missing.includes(want)" @press="emit('turn', want)">{{
          WORDS[want][0]
        }}</BenchButton>
        <b v-else class="label">{{ WORDS[want][0] }}: done</b>
        <span v-if="missing.includes(want)" class="muted">{{ WORDS[want][1] }}</span>
      </li>
    </ol>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <div class="acts">
      <router-link class="way" to="/jobs/new">Receive a valve</router-link>
      <BenchButton @press="leave">Leave the rest for later</BenchButton>
    </div>
  </section>
</template>

<style scoped>
.round {
  display: grid;
  gap: 10px;
  padding: 14px 16px;
  border: 1px solid var(--lamp);
  border-radius: var(--radius);
}
ol {
  display: grid;
  gap: 6px;
  padding: 0;
  margin: 0;
  list-style: none;
}
li,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
.done b {
  display: inline-flex;
  align-items: center;
  min-height: var(--touch);
  color: var(--fit);
}
</style>
