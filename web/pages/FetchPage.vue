<script setup lang="ts">
import { stockView } from '@dusk-wren/contract/stock';
import { fetchList } from '@dusk-wren/core/stock';
import type { PartRole } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { computed } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import JobPaper from '../parts/JobPaper.vue';
import { useJob } from '../stores/job';
import { useKeptHere } from '../stores/kept-here';
import { usePreferences } from '../stores/preferences';

/** Everything to have at the bench before the job starts: to walk the store with, and to print. */
const props = defineProps<{ id: string }>();
const job = useJob();
const { tell } = usePreferences();
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
const { data: stock } = useQuery({
  key: () => ['job-stock', props.id],
  query: () => call(`/jobs/${props.id}/stock`, stockView),
});
/** Where a new part lies, and how many of it. */
function binOf(role: PartRole | undefined): string {
  if (role === undefined || !stock.value) return '';
  const found = stock.value.parts.find(({ part }) => part === role);
  if (!found) return 'not stocked';
  return found.onHand === 0 ? `none left, bin ${found.bin}` : `bin ${found.bin}, ${found.onHand} there`;
}
const kept = useKeptHere();
/** What is at the bench already, for this person on this device. */
const ticked = (what: string) => kept.text(() => `${props.id}/fetch/${what}`);
function turn(what: string): void {
  const tick = ticked(what);
  tick.value = tick.value === '' ? 'there' : '';
}
const print = () => window.print();
</script>

<template>
  <JobPaper :id="id" title="Fetch list">
    <template #act><BenchButton lamp @press="print">Print</BenchButton></template>
    <div class="groups">
      <section v-for="[name, items] in groups" :key="name" class="row-flat">
        <h2>{{ name }}</h2>
        <ul>
          <li v-for="item in items" :key="tell(item.what)">
            <label
              ><input
                type="checkbox"
                :checked="ticked(tell(item.what)).value !== ''"
                @change="turn(tell(item.what))"
              /><span
                ><b>{{ tell(item.what) }}</b
                ><template v-if="item.count > 1"> × {{ item.count }}</template
                ><template v-if="item.inCalibration">, in calibration</template
                ><template v-if="binOf(item.part)">, {{ binOf(item.part) }}</template>
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
  </JobPaper>
</template>

<style scoped>
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
  align-items: center;
  min-height: var(--touch);
  padding: 4px 0;
}
small {
  display: block;
  font-size: 14px;
}
input {
  width: 26px;
  height: 26px;
  flex: none;
  accent-color: var(--blue);
}
</style>
