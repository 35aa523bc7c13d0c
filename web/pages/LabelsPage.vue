<script setup lang="ts">
import { jobId } from '@dusk-wren/core/job';
import { computed, onBeforeUnmount, watch } from 'vue';
import { trayOf } from '../bench/tray';
import BenchButton from '../parts/BenchButton.vue';
import QrCode from '../parts/QrCode.vue';
import { useJob } from '../stores/job';

/** Labels for the tray: one a part, in the order they come off, each with a code that a scanner reads. */
const props = defineProps<{ id: string }>();
const job = useJob();
watch(
  () => props.id,
  (id) => {
    const read = jobId.safeParse(id);
    if (read.success) void job.open(read.data);
    else job.failed = 'There is no such job.';
  },
  { immediate: true },
);
onBeforeUnmount(job.close);
const places = computed(() => trayOf(job.planned));
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
        <router-link :to="`/jobs/${id}`" class="label no-print">Back to the bench</router-link>
        <BenchButton class="no-print" lamp @press="print">Print</BenchButton>
      </div>
      <ol class="sheet">
        <li v-for="each in places" :key="each.role" class="tag label">
          <QrCode :text="`DW:${id}:${each.place}:${each.role}`" />
          <span
            ><b class="place number">{{ each.place }}</b
            ><b>{{ each.name }}</b
            ><small>{{ job.planned.valve.tag }} · balloon {{ each.number }}</small></span
          >
        </li>
      </ol>
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
.sheet {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 6px;
}
.tag {
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: 10px;
  align-items: center;
  padding: 6px;
  color: #1d1a26;
  background: #fff;
  border: 1px solid var(--line);
  border-radius: 4px;
  break-inside: avoid;
}
.tag span {
  display: grid;
}
.place {
  font-size: 26px;
  line-height: 1;
}
small {
  font-size: 14px;
  color: #453f52;
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
