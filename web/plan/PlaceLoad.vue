<script setup lang="ts">
import type { WeekView } from '@dusk-wren/contract/week';
import { computed } from 'vue';
import { loadsOf } from './load';

/** How full each place is, this week and those after. */
const props = defineProps<{ view: WeekView }>();
const loads = computed(() => loadsOf(props.view));
const percent = (share: number) => `${Math.round(share * 100)} %`;
</script>

<template>
  <section class="load" aria-label="How full the places are">
    <h2>How full</h2>
    <div class="frame">
      <table>
        <thead>
          <tr class="label">
            <th scope="col">place</th>
            <th v-for="week in loads.weeks" :key="week" scope="col">{{ week }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in loads.rows" :key="row.place">
            <th scope="row" class="label">{{ row.place }}</th>
            <td v-for="(share, i) in row.shares" :key="i" class="number">
              <template v-if="share === undefined">closed</template>
              <template v-else>
                <i class="bar" aria-hidden="true"
                  ><i :class="{ full: share > 0.85 }" :style="{ width: `${Math.min(1, share) * 100}%` }"
                /></i>
                {{ percent(share) }}
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.frame {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  padding: 4px 12px 4px 0;
  font-weight: 400;
  text-align: left;
}
td {
  padding: 4px 12px 4px 0;
  white-space: nowrap;
}
.bar {
  display: inline-block;
  width: 70px;
  height: 9px;
  margin-right: 6px;
  border: 1px solid var(--line);
}
.bar i {
  display: block;
  height: 100%;
  background: var(--muted);
}
.bar i.full {
  background: var(--renew);
}
</style>
