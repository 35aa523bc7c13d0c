<script setup lang="ts">
import { recordingsView } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { sayMoment } from '../parts/dates';

/** What rigs left in the folder that is watched, and what became of it. */
const { data } = useQuery({
  key: ['landed-files'],
  query: () => call('/setup/recordings', recordingsView),
  staleTime: 0,
});
const files = computed(() => data.value?.recordings ?? []);
const astray = computed(() => files.value.filter(({ job }) => job === null).length);
</script>

<template>
  <details v-if="data?.watched || files.length > 0" class="landed">
    <summary>
      Files from rigs: the last {{ files.length }}<b v-if="astray">, {{ astray }} of no job</b>
    </summary>
    <p class="label">
      A rig leaves its CSV in the folder that this server watches, its name beginning with the tag of the
      valve. It lies on that job, once; the rig’s own file stays where it is. One of no job waits for a job of
      its tag.
    </p>
    <ul>
      <li v-for="each in files" :key="each.id">
        <b class="file">{{ each.file }}</b>
        <router-link v-if="each.job" class="way" :to="`/jobs/${each.job}`">{{ each.tag }}</router-link>
        <span v-else class="astray">{{ each.why }}</span>
        <span class="label muted">{{ sayMoment(each.at) }}, {{ each.rows }} rows</span>
      </li>
    </ul>
  </details>
</template>

<style scoped>
.landed {
  padding: 4px 16px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
summary {
  min-height: 48px;
  line-height: 48px;
}
ul {
  display: grid;
  gap: 4px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
  min-height: 40px;
}
.file {
  overflow-wrap: anywhere;
}
.astray {
  color: var(--renew);
}
</style>
