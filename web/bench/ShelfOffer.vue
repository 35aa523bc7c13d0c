<script setup lang="ts">
import { unitsView } from '@dusk-wren/contract/stock';
import { SHELF_UNITS, unitsFor, valveKey } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import { sayDay } from '../parts/dates';
import BenchButton from '../parts/BenchButton.vue';
import { useJob } from '../stores/job';

/** Units on the shelf that fit this valve: one taken swaps the plan. */
const job = useJob();
const { data, refetch } = useQuery({ key: () => ['units'], query: () => call('/store/units', unitsView) });
const fitting = computed(() => {
  const valve = job.planned?.valve;
  if (!valve) return [];
  const kinds = unitsFor(valve);
  return (data.value?.units ?? []).filter(
    ({ kind, key, state }) => state === 'on the shelf' && key === valveKey(valve) && kinds.includes(kind),
  );
});
const taken = computed(() => job.state?.records['unit-taken'] ?? []);
async function take(id: string): Promise<void> {
  const unit = fitting.value.find((each) => each.id === id);
  if (!unit) return;
  job.act({ kind: 'take-unit', body: { unit: unit.id, kind: unit.kind, serial: unit.serial } });
  await refetch();
}
</script>

<template>
  <section v-if="fitting.length > 0 || taken.length > 0" class="shelf">
    <h2>From the shelf</h2>
    <p v-for="entry in taken" :key="entry.seq" class="label">
      {{ SHELF_UNITS[entry.body.kind].name }} <b>{{ entry.body.serial }}</b> taken by {{ entry.by.name }}: the
      old one is rebuilt as its own job.
    </p>
    <template v-if="job.summary?.state === 'open'">
      <p v-for="unit in fitting" :key="unit.id" class="offer label">
        <span
          >{{ SHELF_UNITS[unit.kind].name }} <b>{{ unit.serial }}</b><template v-if="unit.builtOn"
            >, ready since {{ sayDay(unit.builtOn) }}</template
          ></span
        >
        <BenchButton @press="take(unit.id)">Fit it now</BenchButton>
      </p>
    </template>
  </section>
</template>

<style scoped>
.shelf {
  display: grid;
  gap: 6px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.offer {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  justify-content: space-between;
}
</style>
