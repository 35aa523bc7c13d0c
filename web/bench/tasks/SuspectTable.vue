<script setup lang="ts">
import { CAUSES, checkOf, type Counts, type Evidence, type Suspect } from '@dusk-wren/core/diagnosis';
import { formatNumber, formatPercent } from '@dusk-wren/core/quantity';
import { computed } from 'vue';

/** What the fault may be: how likely, what each answer did to that, and how often it was so here. */
const props = defineProps<{
  suspects: readonly Suspect[];
  evidence: readonly Evidence[];
  counts: Counts;
}>();
const learnt = computed(() => Object.values(props.counts).reduce((sum, count) => sum + (count ?? 0), 0));
</script>

<template>
  <table class="label suspects">
    <thead>
      <tr>
        <th>Cause</th>
        <th>Chance</th>
        <th>What the answers did</th>
        <th v-if="learnt > 0">Here before</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="each in suspects" :key="each.cause">
        <td>
          <b>{{ CAUSES[each.cause].name }}</b> <span class="muted">{{ CAUSES[each.cause].link }}</span>
        </td>
        <td class="bar">
          <span :style="{ width: `${Math.max(1, each.chance * 100)}%` }" /><b class="number">{{
            formatPercent(each.chance)
          }}</b>
        </td>
        <td class="number moved">
          <template v-for="(factor, i) in each.moved" :key="i"
            ><i :class="factor > 1 ? 'up' : 'down'" :title="checkOf(evidence[i]?.check ?? 'supply').title"
              >{{ factor > 1 ? '▲' : '▼' }}{{ formatNumber(factor, factor < 1 ? 2 : 1) }}</i
            >
          </template>
        </td>
        <td v-if="learnt > 0" class="number">{{ counts[each.cause] ?? 0 }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.suspects {
  border-collapse: collapse;
  width: 100%;
}
.suspects th {
  text-align: left;
  font-weight: 600;
  color: var(--muted);
}
.suspects td {
  border-top: 1px solid var(--line);
}
.suspects :is(th, td) {
  padding: 4px 10px 4px 0;
}
.bar {
  position: relative;
  min-width: 110px;
  width: 26%;
}
.bar span {
  position: absolute;
  left: 0;
  top: 5px;
  bottom: 5px;
  background: color-mix(in srgb, var(--blue) 34%, transparent);
  transition: width 200ms;
}
.bar b {
  position: relative;
  padding-left: 6px;
}
.moved i {
  font-style: normal;
  margin-right: 8px;
}
.up {
  color: var(--ink);
}
.down {
  color: var(--muted);
}
@media (prefers-reduced-motion: reduce) {
  .bar span {
    transition: none;
  }
}
@media (max-width: 700px) {
  .moved,
  .suspects th:nth-child(3) {
    display: none;
  }
}
</style>
