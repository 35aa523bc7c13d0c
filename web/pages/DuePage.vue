<script setup lang="ts">
import BenchButton from '../parts/BenchButton.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { isoDay, sayDay } from '../parts/dates';
import { HORIZONS, useDue } from '../register/due';
import RegisterHeading from '../register/RegisterHeading.vue';

/** What is to come back and when, month by month, each with its reason; a month is opened with one press. */
const due = useDue();
const { days, customer, customers, data, error, months, asked, wrong, told, open } = due;
const today = isoDay(new Date());
const print = () => window.print();
const idle = (valves: readonly { open: unknown }[]) => valves.filter((each) => each.open === null).length;
const WORDS = { 30: '30 days', 90: '90 days', 365: 'A year' } as const;
</script>

<template>
  <div class="page due">
    <RegisterHeading title="Due" />
    <div class="narrow">
      <ChoiceRow
        label="How far ahead"
        :options="HORIZONS.map((value) => ({ value, label: WORDS[value] }))"
        :picked="days"
        @pick="days = $event"
      />
      <v-select v-model="customer" label="Customer" :items="customers" clearable hide-details />
      <nav class="files label" aria-label="As a file">
        <a class="way" :href="`/api/due.ics?${asked}`" download>Calendar</a>
        <a class="way" :href="`/api/due.csv?${asked}`" download>CSV</a>
      </nav>
      <BenchButton @press="print">Print</BenchButton>
    </div>
    <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <div v-if="told" class="row-flat told" role="status">
      <b>{{ told.opened === 1 ? '1 job opened' : `${told.opened} jobs opened` }}.</b>
      <router-link class="way" to="/">To the floor</router-link>
      <p v-for="each in told.left" :key="each.tag">{{ each.tag }} was left: {{ each.why }}</p>
    </div>
    <p v-if="data && data.inAll === 0" class="row-flat told">
      Nothing is due by then. A valve falls due once its first certificate is signed here.
    </p>
    <section v-for="{ name, valves } in months" :key="name" class="month" :aria-label="name">
      <div class="leaf">
        <h2>{{ name }}</h2>
        <span class="count number">{{ valves.length }}</span>
        <BenchButton v-if="idle(valves) > 0" @press="open(valves)">{{
          idle(valves) === 1 ? 'Open its job' : `Open ${idle(valves)} jobs`
        }}</BenchButton>
        <span v-else class="label muted">all on a bench</span>
      </div>
      <ol>
        <li v-for="valve in valves" :key="valve.id" class="row-flat" :class="{ over: valve.due.at < today }">
          <b class="number day">{{ sayDay(valve.due.at) }}</b>
          <span class="which">
            <router-link class="way" :to="`/valves/${valve.id}`">{{ valve.tag }}</router-link>
            <span class="label muted">{{ valve.customer }}, {{ valve.location }}</span>
          </span>
          <span class="label">
            {{ valve.due.words }}
            <router-link v-if="valve.open" class="way" :to="`/jobs/${valve.open}`">on a bench</router-link>
          </span>
        </li>
      </ol>
    </section>
    <p v-if="data && data.inAll > data.valves.length" class="muted">
      The first {{ data.valves.length }} of {{ data.inAll }}: the files have all of them.
    </p>
  </div>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.narrow,
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.narrow > :nth-child(2) {
  flex: 0 1 300px;
  min-width: 200px;
}
.told {
  padding: 10px 14px;
}
.month {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
.leaf {
  display: grid;
  gap: 4px;
  align-content: start;
  justify-items: start;
}
.count {
  font-size: 34px;
  line-height: 1;
}
ol {
  display: grid;
  gap: 6px;
  align-content: start;
}
li {
  display: grid;
  grid-template-columns: 140px minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 2px 16px;
  align-items: center;
  min-height: var(--touch);
  padding: 2px 14px;
  border-left: 5px solid var(--blue);
}
.which {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: center;
}
.over {
  border-left-color: var(--renew);
}
@media (max-width: 760px) {
  .month,
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .narrow,
  .leaf button {
    display: none;
  }
}
</style>
