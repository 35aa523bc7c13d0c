<script setup lang="ts">
import { fetchList } from '@dusk-wren/core/stock';
import { computed } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import NamePlate from '../parts/NamePlate.vue';
import { useOpenJob } from '../stores/open-job';

/** Everything to have at the bench before the job starts: to walk the store with, and to print. */
const props = defineProps<{ id: string }>();
const job = useOpenJob(() => props.id);
const list = computed(() => job.planned && fetchList(job.planned));
const groups = computed(() =>
  list.value
    ? ([
        ['New parts', list.value.parts],
        ['Wrenches', list.value.wrenches],
        ['Gauges', list.value.gauges],
        ['Tools', list.value.tools],
        ['Consumables', list.value.consumables],
      ] as const)
    : [],
);
const print = () => window.print();
</script>

<template>
  <div class="page fetch">
    <p v-if="job.failed" class="problem" role="alert">
      {{ job.failed }} <router-link to="/">Back to the floor</router-link>
    </p>
    <template v-else-if="job.planned">
      <NamePlate :valve="job.planned.valve" />
      <div class="head">
        <h1>Fetch list</h1>
        <router-link :to="`/jobs/${id}`" class="label no-print">Back to the bench</router-link>
        <BenchButton class="no-print" lamp @press="print">Print</BenchButton>
      </div>
      <div class="groups">
        <section v-for="[name, items] in groups" :key="name" class="row-flat">
          <h2>{{ name }}</h2>
          <ul>
            <li v-for="item in items" :key="item.what">
              <label
                ><input type="checkbox" /><span
                  ><b>{{ item.what }}</b
                  ><template v-if="item.count > 1"> × {{ item.count }}</template>
                  <small v-if="item.steps.length > 0" class="muted">{{
                    item.steps.slice(0, 2).join('; ')
                  }}</small></span
                ></label
              >
            </li>
          </ul>
          <p v-if="items.length === 0" class="muted">Nothing more.</p>
        </section>
      </div>
    </template>
    <p v-else class="muted">Opening the job…</p>
  </div>
</template>

<style scoped>
.fetch {
  display: grid;
  gap: 12px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
.head > :last-child {
  margin-left: auto;
}
.groups {
  columns: 3 320px;
  column-gap: 12px;
}
section {
  break-inside: avoid;
  padding: 10px 14px;
  margin-bottom: 12px;
}
label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-height: 34px;
}
small {
  display: block;
  font-size: 14px;
}
input {
  width: 18px;
  height: 18px;
  flex: none;
  accent-color: var(--blue);
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
