<script setup lang="ts">
import { shopSettings } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { ref, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { faultOf } from '../stores/fault';
import { useSession } from '../stores/session';

/** The shop itself: its name on every page and paper, and the units that people begin with. */
const session = useSession();
const { data } = useQuery({ key: () => ['setup-shop'], query: () => call('/setup/shop', shopSettings) });
const name = ref('');
const units = ref<'US' | 'SI'>('US');
const said = ref('');
const wrong = ref('');
watch(
  data,
  (shop) => {
    if (shop) [name.value, units.value] = [shop.name, shop.units];
  },
  { immediate: true },
);
async function keep(): Promise<void> {
  [said.value, wrong.value] = ['', ''];
  try {
    const body = { name: name.value.trim(), units: units.value };
    const kept = await call('/setup/shop', shopSettings, { method: 'POST', body });
    [session.shop, session.units] = [kept.name, kept.units];
    said.value = `Kept: ${kept.name}, ${kept.units} units.`;
  } catch (error) {
    wrong.value = faultOf(error);
  }
}
</script>

<template>
  <section class="shop" aria-label="The shop">
    <form @submit.prevent="keep">
      <v-text-field v-model="name" label="Name of the shop" maxlength="80" />
      <v-select v-model="units" label="Units that people begin with" :items="['US', 'SI']" />
      <BenchButton kind="submit" lamp :disabled="name.trim() === ''" lacking="a name">Keep it</BenchButton>
    </form>
    <p class="muted">
      Its name stands on every page and paper. Everybody may turn to the other units for themselves; papers
      are in those of who prints.
    </p>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
.shop,
form {
  display: grid;
  gap: 10px;
}
form {
  grid-template-columns: repeat(auto-fit, minmax(230px, max-content));
  align-items: start;
}
</style>
