<script setup lang="ts">
import { stockView, type StockPart } from '@dusk-wren/contract/stock';
import { wordKey } from '@dusk-wren/core/valve';
import { useQuery } from '@pinia/colada';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import LabelSheet from '../parts/LabelSheet.vue';
import '../parts/table.css';

/** What lies in the bins, found by number, name or the valve it fits; bin labels to print. */
const sought = ref('');
const asked = refDebounced(sought, 200);
const cursor = ref('');
const earlier = ref<StockPart[]>([]);
const labels = ref(false);
watch(asked, () => {
  cursor.value = '';
  earlier.value = [];
});
const { data, error } = useQuery({
  key: () => ['stock', asked.value, cursor.value],
  query: () => {
    const words = asked.value.trim();
    const query = new URLSearchParams({
      limit: '60',
      ...(words ? { q: words } : {}),
      ...(cursor.value ? { cursor: cursor.value } : {}),
    });
    return call(`/store/stock?${query.toString()}`, stockView);
  },
});
const rows = computed(() => [...earlier.value, ...(data.value?.parts ?? [])]);
function more(): void {
  if (!data.value?.next) return;
  earlier.value = rows.value;
  cursor.value = data.value.next;
}
const print = () => window.print();
</script>

<template>
  <div class="head no-print">
    <v-text-field v-model="sought" label="Number, name or valve begins with" autocomplete="off" />
    <BenchButton @press="labels = !labels">{{ labels ? 'Back to the list' : 'Bin labels' }}</BenchButton>
    <BenchButton v-if="labels" lamp @press="print">Print</BenchButton>
  </div>
  <p v-if="error" class="problem" role="alert">{{ error.message }}</p>
  <p v-else-if="data && rows.length === 0" class="muted">
    Nothing begins so. Parts come in under Files, from a CSV file.
  </p>
  <LabelSheet
    v-else-if="labels"
    :labels="
      rows.map((part) => ({
        key: part.number,
        code: `DW:PART:${part.number}`,
        mark: part.bin || '?',
        name: part.name,
        below: `${part.number} · ${wordKey(part.fits)}`,
      }))
    "
  />
  <table v-else class="store-table folds label">
    <thead>
      <tr>
        <th scope="col">Bin</th>
        <th scope="col">Part</th>
        <th scope="col">Number</th>
        <th scope="col">Fits</th>
        <th scope="col" class="right">On hand</th>
        <th scope="col" class="right">Price</th>
        <th scope="col" class="right">Days to get</th>
        <th scope="col">Cure date</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="part in rows" :key="part.number">
        <td class="number" data-label="Bin">{{ part.bin }}</td>
        <td>
          <b>{{ part.name }}</b> <span class="muted">{{ part.elastomer ?? part.material }}</span>
        </td>
        <td class="number">{{ part.number }}</td>
        <td>{{ wordKey(part.fits) }}</td>
        <td data-label="On hand" class="right number" :class="{ short: part.onHand < part.reorderAt }">
          {{ part.onHand }}<template v-if="part.onHand < part.reorderAt">, order</template>
        </td>
        <td data-label="Price" class="right number">{{ part.price.toFixed(2) }}</td>
        <td data-label="Days to get" class="right number">{{ part.leadDays }}</td>
        <td data-label="Cured">{{ part.cureDate ?? '' }}</td>
      </tr>
    </tbody>
  </table>
  <BenchButton v-if="data?.next" class="no-print" @press="more">More</BenchButton>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: minmax(200px, 460px) auto auto;
  gap: 10px;
  align-items: start;
  justify-content: start;
}
.short {
  color: var(--renew);
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
