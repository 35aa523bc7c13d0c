<script setup lang="ts">
import {
  WEEK,
  WORK_PLACE_KINDS,
  workPlaceRequest,
  type WorkPlaceAsked,
  type Weekday,
} from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';

/** A place as it is asked: what it is, how many there are, and the days and hours that it is open. */
const props = defineProps<{ place: WorkPlaceAsked; /** Of the button that keeps it. */ words: string }>();
const emit = defineEmits<{ keep: [place: WorkPlaceAsked]; leave: [] }>();
const name = ref(props.place.name);
const kind = ref(props.place.kind);
const count = ref(String(props.place.count));
const days = ref<Weekday[]>([...props.place.days]);
const opens = ref(props.place.opens);
const closes = ref(props.place.closes);

/** `07:30` of what a hand makes of it: `7:30`, `7.30`, `730`. */
const clock = (typed: string) =>
  typed
    .trim()
    .replace(/^(\d{1,2})[:.]?(\d\d)$/, '$1:$2')
    .padStart(5, '0');
const read = computed(() =>
  workPlaceRequest.safeParse({
    name: name.value,
    kind: kind.value,
    count: Number(count.value),
    days: days.value,
    opens: clock(opens.value),
    closes: clock(closes.value),
  }),
);
const LACKING: Readonly<Record<string, string>> = {
  name: 'a name',
  count: 'how many, from 1 to 200',
  days: 'a day',
  opens: 'when it opens, as 07:00',
  closes: 'when it closes, later, as 15:30',
};
const lacking = computed(() => LACKING[String(read.value.error?.issues[0]?.path[0] ?? '')] ?? '');
const turn = (day: Weekday) =>
  (days.value = days.value.includes(day) ? days.value.filter((each) => each !== day) : [...days.value, day]);
function keep(): void {
  if (read.value.success) emit('keep', read.value.data);
}
</script>

<template>
  <form class="form" @submit.prevent="keep">
    <v-text-field v-model="name" label="Name" maxlength="80" autocomplete="off" />
    <v-select v-model="kind" label="What it is" :items="[...WORK_PLACE_KINDS]" />
    <v-text-field v-model="count" label="How many there are" inputmode="numeric" maxlength="3" />
    <v-text-field v-model="opens" label="Opens" placeholder="07:00" inputmode="numeric" maxlength="5" />
    <v-text-field v-model="closes" label="Closes" placeholder="15:30" inputmode="numeric" maxlength="5" />
    <div class="days" role="group" aria-label="Open on">
      <button
        v-for="day in WEEK"
        :key="day"
        type="button"
        class="label"
        :aria-pressed="days.includes(day)"
        @click="turn(day)"
      >
        {{ day }}
      </button>
    </div>
    <div class="acts">
      <BenchButton kind="submit" lamp :disabled="!read.success" :lacking="lacking">{{ words }}</BenchButton>
      <BenchButton @press="$emit('leave')">Leave it</BenchButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px;
  align-items: start;
}
.days,
.acts {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 6px;
}
.days button {
  min-width: var(--touch);
  min-height: var(--touch);
  padding: 0 12px;
  color: var(--muted);
  background: none;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.days button[aria-pressed='true'] {
  color: inherit;
  border-color: var(--lamp);
  background: var(--lit);
}
</style>
