<script setup lang="ts">
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import { sayDay } from '../parts/dates';
import HoursForm from './HoursForm.vue';
import PersonHours from './PersonHours.vue';
import SetupFile from './SetupFile.vue';
import { useSetupHours } from './setup-hours';

/** Who is there when: what the plan of the week goes by. */
const setup = useSetupHours();
const { hours, wrong } = setup;
const day = ref('');
const name = ref('');
async function addHoliday(): Promise<void> {
  if (await setup.addHoliday({ day: day.value, name: name.value.trim() })) [day.value, name.value] = ['', ''];
}
</script>

<template>
  <section v-if="hours" class="hours-setup" aria-label="Hours">
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <h2>The shop works</h2>
    <HoursForm
      :key="JSON.stringify(hours.shop)"
      :hours="hours.shop"
      of="the shop"
      words="These are the hours"
      @keep="setup.setShop"
    />
    <h2>Nobody works on</h2>
    <ul v-if="hours.holidays.length > 0" class="holidays">
      <li v-for="holiday in hours.holidays" :key="holiday.day" class="row-flat">
        <b class="number">{{ sayDay(holiday.day) }}</b> {{ holiday.name }}
        <BenchButton @press="setup.removeHoliday(holiday.day)">Is worked on</BenchButton>
      </li>
    </ul>
    <form class="fields" aria-label="A day that nobody works on" @submit.prevent="addHoliday">
      <DayField v-model="day" label="Day" />
      <v-text-field v-model="name" label="What it is" maxlength="80" autocomplete="off" />
      <BenchButton
        kind="submit"
        :disabled="day === '' || name.trim() === ''"
        :lacking="day === '' ? 'the day' : 'what it is'"
        >Nobody works then</BenchButton
      >
    </form>
    <SetupFile
      kind="holidays"
      title="Days that nobody works on, from and to a file"
      columns="day, name"
      @taken="setup.refetch()"
    />
    <h2>People</h2>
    <PersonHours
      v-for="person in hours.people"
      :key="person.id"
      :person="person"
      :shop="hours.shop"
      @own="setup.setOwn(person.id, $event)"
      @away="setup.addAbsence"
      @back="setup.removeAbsence"
      @stay="setup.addExtra"
      @leave="setup.removeExtra"
    />
    <SetupFile
      kind="absences"
      title="Who is away when, from and to a file"
      columns="name, from, to, why"
      @taken="setup.refetch()"
    />
    <p class="muted">
      What people can is noted on their cards under People: the plan asks for lathe, relief valves and field.
      Places have hours of their own under Places.
    </p>
  </section>
</template>

<style scoped>
.hours-setup {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.holidays {
  display: grid;
  gap: 6px;
}
.holidays li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  padding: 4px 14px;
}
.fields {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 10px;
  max-width: 900px;
}
@media (max-width: 760px) {
  .fields {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
