<script setup lang="ts">
import { ref } from 'vue';
import BinTable from '../store/BinTable.vue';
import FileExchange from '../store/FileExchange.vue';
import KitSheets from '../store/KitSheets.vue';
import OrderList from '../store/OrderList.vue';
import ShelfList from '../store/ShelfList.vue';

/** The store: what has to be ordered first, what stands on the shelf, what lies in the bins, and all of it as files. */
const VIEWS = ['Orders', 'Shelf', 'Bins', 'Kit sheets', 'Files'] as const;
const view = ref<(typeof VIEWS)[number]>('Orders');
</script>

<template>
  <div class="page store">
    <h1>Store</h1>
    <div class="tabs label" role="group" aria-label="Show">
      <button
        v-for="name in VIEWS"
        :key="name"
        type="button"
        :aria-pressed="view === name"
        @click="view = name"
      >
        {{ name }}
      </button>
    </div>
    <OrderList v-if="view === 'Orders'" />
    <ShelfList v-else-if="view === 'Shelf'" />
    <BinTable v-else-if="view === 'Bins'" />
    <KitSheets v-else-if="view === 'Kit sheets'" />
    <FileExchange v-else />
  </div>
</template>

<style scoped>
.store {
  display: grid;
  gap: 10px;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}
.tabs button {
  min-height: 48px;
  font-size: 17px;
  font-weight: 600;
  color: var(--muted);
  background: none;
  border: 0;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
.tabs button[aria-pressed='true'] {
  color: var(--ink);
  border-color: var(--lamp);
}
</style>
