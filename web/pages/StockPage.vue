<script setup lang="ts">
import { ref } from 'vue';
import ViewTabs from '../parts/ViewTabs.vue';
import BinTable from '../stock/BinTable.vue';
import FileExchange from '../stock/FileExchange.vue';
import KitSheets from '../stock/KitSheets.vue';
import OrderList from '../stock/OrderList.vue';
import SpareTable from '../stock/SpareTable.vue';
import ShelfList from '../stock/ShelfList.vue';

/** The store: what has to be ordered first, what stands on the shelf, what lies in the bins, and all of it as files. */
const VIEWS = [
  ['orders', 'Orders'],
  ['shelf', 'Shelf'],
  ['keep', 'What to keep'],
  ['bins', 'Bins'],
  ['kits', 'Kit sheets'],
  ['files', 'Files'],
] as const;
const view = ref<(typeof VIEWS)[number][0]>('orders');
</script>

<template>
  <div class="page store">
    <h1>Store</h1>
    <ViewTabs v-model="view" :views="VIEWS" />
    <OrderList v-if="view === 'orders'" />
    <ShelfList v-else-if="view === 'shelf'" />
    <SpareTable v-else-if="view === 'keep'" />
    <BinTable v-else-if="view === 'bins'" />
    <KitSheets v-else-if="view === 'kits'" />
    <FileExchange v-else />
  </div>
</template>

<style scoped>
.store {
  display: grid;
  gap: 10px;
}
</style>
