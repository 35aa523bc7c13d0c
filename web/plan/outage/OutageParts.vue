<script setup lang="ts">
import type { OutageView } from '@dusk-wren/contract/outages';
import { sayDay } from '../../parts/dates';
import '../../parts/table.css';

/** What these jobs take whatever is found: kits, and parts against the bins with the last day to order what is short. */
defineProps<{ outage: OutageView }>();
</script>

<template>
  <section class="parts" aria-label="Kits and parts">
    <div class="head">
      <h2>Kits and parts</h2>
      <a class="way label no-print" :href="`/api/outages/${outage.id}/parts.csv`" download>CSV</a>
    </div>
    <p v-if="outage.kits.length > 0" class="label">
      Kits:
      <span v-for="(kit, i) in outage.kits" :key="`${kit.sheet} ${kit.code}`"
        ><template v-if="i > 0">, </template><b>{{ kit.count }} × {{ kit.code }}</b> ({{
          kit.tags.join(' ')
        }})</span
      >
    </p>
    <p v-if="outage.parts.length === 0" class="muted">These jobs take nothing that is always new.</p>
    <table v-else class="store-table folds label">
      <thead>
        <tr>
          <th scope="col">Order by</th>
          <th scope="col">Part</th>
          <th scope="col">Wanted</th>
          <th scope="col">In the bin</th>
          <th scope="col">Short</th>
          <th scope="col">For</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="part in outage.parts" :key="part.number ?? `${part.name} ${part.tags.join()}`">
          <td class="number" :class="{ problem: part.late }">
            {{ part.orderBy ? sayDay(part.orderBy) : 'in hand' }}<template v-if="part.late">, over</template>
          </td>
          <td>
            <b>{{ part.name }}</b> <span class="muted">{{ part.number ?? 'no bin' }}</span>
          </td>
          <td class="number" data-label="wanted">{{ part.wanted }}</td>
          <td class="number" data-label="in the bin">{{ part.onHand }}</td>
          <td class="number" data-label="short">
            <b v-if="part.short > 0">{{ part.short }}</b><template v-else>0</template>
          </td>
          <td class="muted wide">{{ part.tags.join(' ') }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.parts {
  display: grid;
  gap: 8px;
}
.head {
  display: flex;
  gap: 16px;
  align-items: center;
}
</style>
