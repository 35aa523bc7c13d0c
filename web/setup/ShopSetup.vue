<script setup lang="ts">
import { shopSettings, type ShopSettings } from '@dusk-wren/contract';
import { useQuery } from '@pinia/colada';
import { ref, watch } from 'vue';
import { call } from '../api/client';
import BenchButton from '../parts/BenchButton.vue';
import { useTrying } from '../stores/trying';
import { useSession } from '../stores/session';

/** The shop itself: its name on every page and paper, its units and clocks, and how people sign in. */
const session = useSession();
const { data } = useQuery({ key: () => ['setup-shop'], query: () => call('/setup/shop', shopSettings) });
const asked = ref<ShopSettings>();
const LOCKS = [0, 5, 10, 15, 30, 60].map((value) => ({
  value,
  title: value === 0 ? 'never' : `after ${value} minutes`,
}));
const KEPT = [0, 6, 12, 24, 60].map((value) => ({
  value,
  title: value === 0 ? 'by hand only' : `${value} months after`,
}));
/** Zones as people look for them: by continent and town. */
const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone')];
const said = ref('');
const { wrong, trying } = useTrying();
watch(
  data,
  (shop) => {
    if (shop) asked.value = { ...shop };
  },
  { immediate: true },
);
const keep = () =>
  trying(async () => {
    said.value = '';
    const kept = await call('/setup/shop', shopSettings, { method: 'POST', body: asked.value });
    [session.shop, session.units, session.lockMinutes] = [kept.name, kept.units, kept.lockMinutes];
    said.value = `Kept: ${kept.name}, ${kept.units} units, clocks of ${kept.zone}.`;
  });
</script>

<template>
  <section v-if="asked" class="shop" aria-label="The shop">
    <form @submit.prevent="keep">
      <v-text-field v-model="asked.name" label="Name of the shop" maxlength="80" />
      <v-select v-model="asked.units" label="Units that people begin with" :items="['US', 'SI']" />
      <v-autocomplete
        v-model="asked.zone"
        label="Time zone: type a town"
        :items="ZONES"
        no-data-text="No zone is called that: the largest town near it is"
      />
      <v-select v-model="asked.lockMinutes" label="A screen that nobody touches locks" :items="LOCKS" />
      <v-select
        v-model="asked.secondFactor"
        label="Who shows a code of an authenticator too"
        :items="[...shopSettings.shape.secondFactor.options]"
      />
      <v-select v-model="asked.erasedAfterMonths" label="Who has left is erased" :items="KEPT" />
      <BenchButton kind="submit" lamp :disabled="asked.name.trim() === ''" lacking="a name"
        >Keep it</BenchButton
      >
    </form>
    <p class="muted">
      Its name stands on every page and paper. Everybody may turn to the other units for themselves; papers
      are in those of who prints. Days begin, and moments on paper are, by the clocks of the time zone. Who
      has to show a code sets an authenticator up at their next sign-in. Erased is what is known of who has
      left, not what they did: logs and papers keep their name.
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
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  align-items: start;
}
form > button {
  justify-self: start;
}
</style>
