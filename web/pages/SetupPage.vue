<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import ViewTabs from '../parts/ViewTabs.vue';
import FirstRound from '../setup/FirstRound.vue';
import HoursSetup from '../setup/HoursSetup.vue';
import InstrumentsSetup from '../setup/InstrumentsSetup.vue';
import KeepingSetup from '../setup/KeepingSetup.vue';
import MachinesSetup from '../setup/MachinesSetup.vue';
import PeopleSetup from '../setup/PeopleSetup.vue';
import PlacesSetup from '../setup/PlacesSetup.vue';
import SheetsSetup from '../setup/SheetsSetup.vue';
import SetupChanges from '../setup/SetupChanges.vue';
import ShopSetup from '../setup/ShopSetup.vue';
import SitesSetup from '../setup/SitesSetup.vue';
import { useSession } from '../stores/session';

/** What a lead sets up: who works here, where, what they read with, whose rules they go by, how it is kept, and who changed what of it. */
const session = useSession();
const VIEWS = [
  ['people', 'People'],
  ['hours', 'Hours'],
  ['places', 'Places'],
  ['instruments', 'Instruments'],
  ['sites', 'Customers'],
  ['sheets', 'Makers’ sheets'],
  ['shop', 'Shop'],
  ['keeping', 'Keeping'],
  ['machines', 'Machines'],
  ['changes', 'Changes'],
] as const;
type View = (typeof VIEWS)[number][0];
/** Which of them, as the address says it: a reload stays where it was. */
const props = defineProps<{ shown: string }>();
const router = useRouter();
const view = computed<View>({
  get: () => VIEWS.find(([value]) => value === props.shown)?.[0] ?? 'people',
  set: (value) => void router.replace({ query: { view: value } }),
});
</script>

<template>
  <div class="page setup">
    <h1>Setup</h1>
    <template v-if="session.person?.role === 'lead'">
      <FirstRound :view="view" @turn="view = $event" />
      <ViewTabs v-model="view" :views="VIEWS" />
      <PeopleSetup v-if="view === 'people'" />
      <HoursSetup v-else-if="view === 'hours'" />
      <PlacesSetup v-else-if="view === 'places'" />
      <InstrumentsSetup v-else-if="view === 'instruments'" />
      <SitesSetup v-else-if="view === 'sites'" />
      <SheetsSetup v-else-if="view === 'sheets'" />
      <ShopSetup v-else-if="view === 'shop'" />
      <KeepingSetup v-else-if="view === 'keeping'" />
      <MachinesSetup v-else-if="view === 'machines'" />
      <SetupChanges v-else />
    </template>
    <p v-else class="muted">A lead sets the shop up. Ask one for what is to be changed here.</p>
  </div>
</template>

<style scoped>
.setup {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
</style>
