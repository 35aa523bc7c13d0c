<script setup lang="ts">
import { computed } from 'vue';
import { trayOf } from '../bench/tray';
import BenchButton from '../parts/BenchButton.vue';
import LabelSheet from '../parts/LabelSheet.vue';
import { useOpenJob } from '../stores/open-job';

/** Labels for the tray: one a part, in the order they come off, each with a code that a scanner reads. */
const props = defineProps<{ id: string }>();
const job = useOpenJob(() => props.id);
const places = computed(() => trayOf(job.planned, job.state));
const tag = computed(() => job.planned?.valve.tag ?? '');
const print = () => window.print();
</script>

<template>
  <div class="page labels">
    <p v-if="job.failed" class="problem" role="alert">
      {{ job.failed }} <router-link to="/">Back to the floor</router-link>
    </p>
    <template v-else-if="job.planned">
      <div class="head">
        <h1>Tray labels, {{ job.planned.valve.tag }}</h1>
        <router-link :to="`/jobs/${id}`" class="way label no-print">Back to the bench</router-link>
        <BenchButton class="no-print" lamp @press="print">Print</BenchButton>
      </div>
      <LabelSheet
        :labels="
          places.map((each) => ({
            key: each.role,
            code: `DW:${id}:${each.place}:${each.role}`,
            mark: each.mark,
            name: each.name,
            below: `${tag} · ${each.number} in the section`,
          }))
        "
      />
    </template>
    <p v-else class="muted">Opening the job…</p>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  margin-bottom: 12px;
}
.head > :last-child {
  margin-left: auto;
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
