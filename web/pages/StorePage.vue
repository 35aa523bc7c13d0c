<script setup lang="ts">
import { ref } from 'vue';
import ViewTabs from '../parts/ViewTabs.vue';
import BinTable from '../store/BinTable.vue';
import FileExchange from '../store/FileExchange.vue';
import KitSheets from '../store/KitSheets.vue';
import OrderList from '../store/OrderList.vue';
import ShelfList from '../store/ShelfList.vue';

/** The store: what has to be ordered first, what stands on the shelf, what lies in the bins, and all of it as files. */
const VIEWS = [
  ['orders', 'Orders'],
  ['shelf', 'Shelf'],
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
