<script setup lang="ts">
import type { WorkHours } from '@dusk-wren/contract';
import type { AbsenceAsked, ExtraHoursAsked, HoursOfPerson } from '@dusk-wren/contract/week';
import { absenceRequest, extraHoursRequest } from '@dusk-wren/contract/week';
import { computed, ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import { sayDay } from '../parts/dates';
import FoldRow from '../parts/FoldRow.vue';
import { clock } from './clock';
import HoursForm from './HoursForm.vue';
import { sayHours } from './say-hours';

/** When somebody works: their hours, the days that they are away, the evenings that they stay. */
const props = defineProps<{ person: HoursOfPerson; shop: WorkHours }>();
const emit = defineEmits<{
  own: [hours: WorkHours | null];
  away: [absence: AbsenceAsked];
  back: [id: number];
  stay: [extra: ExtraHoursAsked];
  leave: [id: number];
}>();
const from = ref('');
const to = ref('');
const why = ref('');
const absence = computed(() =>
  absenceRequest.safeParse({
    person: props.person.id,
    from: from.value,
    to: to.value === '' ? from.value : to.value,
    why: why.value,
  }),
);
const lackingAway = computed(() =>
  from.value === '' ? 'the first day' : why.value.trim() === '' ? 'why' : 'an end after its beginning',
);
function away(): void {
  if (!absence.value.success) return;
  emit('away', absence.value.data);
  [from.value, to.value, why.value] = ['', '', ''];
}
const evening = ref({ day: '', from: '', to: '' });
const extra = computed(() =>
  extraHoursRequest.safeParse({
    person: props.person.id,
    evenings: [{ day: evening.value.day, from: clock(evening.value.from), to: clock(evening.value.to) }],
  }),
);
function stay(): void {
  if (!extra.value.success) return;
  emit('stay', extra.value.data);
  evening.value = { day: '', from: '', to: '' };
}
const span = (first: string, last: string) =>
  first === last ? sayDay(first) : `${sayDay(first)} to ${sayDay(last)}`;
</script>

<template>
  <FoldRow class="person">
    <template #line>
      <b>{{ person.name }}</b>
      <span class="label muted">{{ person.hours ? sayHours(person.hours) : 'the hours of the shop' }}</span>
      <span v-for="each in person.away" :key="each.id" class="label away"
        >away {{ span(each.from, each.to) }}</span
      >
      <span v-for="each in person.extra" :key="each.id" class="label"
        >stays {{ sayDay(each.day) }}, {{ each.from }} to {{ each.to }}</span
      >
    </template>
    <div class="body">
      <p v-for="each in person.away" :key="each.id" class="line">
        Away {{ span(each.from, each.to) }}: {{ each.why }}
        <BenchButton @press="emit('back', each.id)">Is there after all</BenchButton>
      </p>
      <p v-for="each in person.extra" :key="each.id" class="line">
        Stays {{ each.from }} to {{ each.to }} on {{ sayDay(each.day) }}
        <BenchButton @press="emit('leave', each.id)">Goes home after all</BenchButton>
      </p>
      <form class="fields" :aria-label="`${person.name} is away`" @submit.prevent="away">
        <DayField v-model="from" label="Away from" />
        <DayField v-model="to" label="To" optional />
        <v-text-field v-model="why" label="Why" maxlength="80" autocomplete="off" />
        <BenchButton kind="submit" :disabled="!absence.success" :lacking="lackingAway">Is away</BenchButton>
      </form>
      <form class="fields" :aria-label="`${person.name} stays longer`" @submit.prevent="stay">
        <DayField v-model="evening.day" label="Stays longer on" />
        <v-text-field v-model="evening.from" label="From" inputmode="numeric" maxlength="5" />
        <v-text-field v-model="evening.to" label="Until" inputmode="numeric" maxlength="5" />
        <BenchButton
          kind="submit"
          :disabled="!extra.success"
          :lacking="evening.day === '' ? 'the day' : 'from and until, as 15:30 and 18:00'"
          >Stays</BenchButton
        >
      </form>
      <HoursForm
        :key="JSON.stringify(person.hours)"
        :hours="person.hours ?? shop"
        :of="person.name"
        words="These are their hours"
        @keep="emit('own', $event)"
      />
      <BenchButton v-if="person.hours" @press="emit('own', null)">Works the hours of the shop</BenchButton>
    </div>
  </FoldRow>
</template>

<style scoped>
b {
  min-width: 160px;
}
.away {
  color: var(--renew);
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  padding: 4px 14px 16px;
  justify-items: start;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr)) auto;
  gap: 10px;
  width: 100%;
  max-width: 1000px;
}
@media (max-width: 760px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
