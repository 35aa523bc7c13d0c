<script setup lang="ts">
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import { useSetupSites } from './setup-sites';
import SetupFile from './SetupFile.vue';
import SiteCard from './SiteCard.vue';

/** The customers and the rules of their sites. */
const { sites, wrong, refetch, add, change, effects } = useSetupSites();
const name = ref('');
async function keep(): Promise<void> {
  if (await add(name.value.trim())) name.value = '';
}
</script>

<template>
  <section class="sites" aria-label="Customers">
    <h2>{{ sites.length }} customers</h2>
    <form class="add" @submit.prevent="keep">
      <v-text-field v-model="name" label="A new customer: name" maxlength="80" autocomplete="off" />
      <BenchButton kind="submit" lamp :disabled="name.trim() === ''" lacking="a name">Add</BenchButton>
    </form>
    <p class="muted">
      A site that has decided nothing goes by common practice. A job keeps the rules that it was opened under.
    </p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <SetupFile kind="sites" columns="customer, and a column for every rule" @taken="refetch()" />
    <SiteCard
      v-for="site in sites"
      :key="site.customer"
      :site="site"
      :effects="effects"
      @rules="change($event)"
    />
  </section>
</template>

<style scoped>
.sites {
  display: grid;
  gap: 10px;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 420px) auto;
  gap: 10px;
  align-items: start;
  justify-content: start;
}
</style>
