<script setup lang="ts">
import { WORK_PLACE_KINDS, workPlaceRequest, type WorkPlaceAsked, type Weekday } from '@dusk-wren/contract';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { clock } from './clock';
import DaysChoice from './DaysChoice.vue';

/** A place as it is asked: what it is, how many there are, and the days and hours that it is open. */
const props = defineProps<{ place: WorkPlaceAsked; /** Of the button that keeps it. */ words: string }>();
const emit = defineEmits<{ keep: [place: WorkPlaceAsked]; leave: [] }>();
const name = ref(props.place.name);
const kind = ref(props.place.kind);
const count = ref(String(props.place.count));
const days = ref<Weekday[]>([...props.place.days]);
const opens = ref(props.place.opens);
const closes = ref(props.place.closes);

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
    <DaysChoice v-model="days" label="Open on" />
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
.acts {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 6px;
}
</style>
