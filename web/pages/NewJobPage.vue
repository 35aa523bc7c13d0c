<script setup lang="ts">
import {
  openJobView,
  valveListView,
  valvePage,
  type ValveLine,
  type OpenJobRequest,
  type WaitingOrder,
} from '@dusk-wren/contract';
import { PLACE_WORDS, SCOPE_WORDS, type Place, type Scope, type ValveId } from '@dusk-wren/core/job';
import { placesOf, reachedOutOfLine, scopesOf } from '@dusk-wren/core/procedure';
import { asksOf, blankDraft, valveFrom } from '@dusk-wren/core/valve';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { call } from '../api/client';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import BenchButton from '../parts/BenchButton.vue';
import DayField from '../parts/DayField.vue';
import NamePlate from '../parts/NamePlate.vue';
import CanPromise from '../plan/promise/CanPromise.vue';
import { useTrying } from '../stores/trying';
import FeaturesSection from './receive/FeaturesSection.vue';
import MediumSection from './receive/MediumSection.vue';
import PlateSection from './receive/PlateSection.vue';
import ValveOnFile from './receive/ValveOnFile.vue';
import WaitingOrders from './receive/WaitingOrders.vue';

/** Receiving a valve: one on file, or a new one whose plate fills in as it is typed. What is not known becomes an ask. */
const router = useRouter();
const draft = ref(blankDraft());
const picked = ref<ValveLine>();
const valve = computed(() => picked.value?.valve ?? valveFrom(draft.value));
const asks = computed(() => asksOf(valve.value));
const placed = ref<Place>('bare');
const wanted = ref<Scope>('overhaul');
const scopes = computed(() => scopesOf(valve.value.features));
/** A valve that turns out to be another kind may not have what was wanted. */
const scope = computed(() => (scopes.value.includes(wanted.value) ? wanted.value : 'overhaul'));
const places = computed(() => placesOf(valve.value.features, scope.value));
const place = computed(() => (places.value.includes(placed.value) ? placed.value : 'out and back'));
const leaves = computed(() => reachedOutOfLine(valve.value.features, scope.value));
/** The same for what it could be ready by: whose it is does not matter yet. */
const typed = computed(() => {
  const { tag, customer, location } = valve.value;
  return { ...valve.value, tag: tag || '?', customer: customer || '?', location: location || '?' };
});
const asked = computed(() => ({
  valve: picked.value ? { id: picked.value.id } : { new: typed.value },
  place: place.value,
  ...(scope.value === 'overhaul' ? {} : { scope: scope.value }),
}));
const reported = ref('');
const due = ref('');
const { wrong: problem, busy, trying } = useTrying();
const commandId = crypto.randomUUID();

const lacking = computed(() => [
  ...(valve.value.tag === '' ? ['tag'] : []),
  ...(valve.value.customer === '' ? ['customer'] : []),
  ...(valve.value.location === '' ? ['where it sits'] : []),
]);
const stillWanted = computed(() =>
  lacking.value.length > 0 ? `still wanted: ${lacking.value.join(', ')}` : '',
);
/** A valve that the plate was found to be. */
/** A valve whose page this was opened from. */
const from = useRoute().query['valve'];
if (typeof from === 'string')
  void trying(async () => {
    const { id, valve: onFile } = await call(`/register/${encodeURIComponent(from)}`, valvePage);
    picked.value = { id, valve: onFile };
  });
const take = (id: ValveId, tag: string) =>
  trying(async () => {
    const query = new URLSearchParams({ limit: '50', q: tag });
    const { valves } = await call(`/valves?${query.toString()}`, valveListView);
    picked.value = valves.find((each) => each.id === id);
  });
/** The work order that this valve is received for: what it says stands here, to be changed. */
const order = ref<WaitingOrder>();
watch(order, (taken) => {
  if (!taken) return;
  const { asked: its, valves } = taken;
  [reported.value, due.value, wanted.value] = [its.reported, its.due ?? '', its.scope];
  const [only, ...others] = valves;
  if (only && others.length === 0) return take(only.id, only.tag);
  picked.value = undefined;
  draft.value = {
    ...draft.value,
    ...{ tag: its.tag, serial: its.serial ?? draft.value.serial },
    customer: its.customer ?? draft.value.customer,
    location: its.location ?? draft.value.location,
  };
});
const noCalls = new Map<never, never>();
async function open(): Promise<void> {
  if (lacking.value.length > 0 || busy.value) return;
  const body = {
    commandId,
    valve: picked.value ? { id: picked.value.id } : { new: valve.value },
    place: place.value,
    ...(scope.value === 'overhaul' ? {} : { scope: scope.value }),
    reported: reported.value,
    ...(due.value ? { due: due.value } : {}),
    ...(order.value ? { order: order.value.number } : {}),
  };
  await trying(async () => {
    const { id } = await call('/jobs', openJobView, {
      method: 'POST',
      body: body satisfies Record<keyof Pick<OpenJobRequest, 'valve'>, unknown>,
    });
    await router.push(`/jobs/${id}`);
  });
}
</script>

<template>
  <div class="page new">
    <NamePlate :valve="valve" />
    <h1>Receive a valve</h1>
    <WaitingOrders v-model="order" />
    <div class="halves">
      <form class="row-flat form" @submit.prevent="open">
        <PlateSection v-if="!picked" v-model="draft" @take="take" />
        <ValveOnFile v-model="picked" />
        <template v-if="!picked">
          <MediumSection v-model="draft" />
          <details class="made">
            <summary class="label">How it is made: as is usual, until you say otherwise</summary>
            <FeaturesSection v-model="draft" />
          </details>
        </template>
        <section>
          <h2>This job</h2>
          <div class="fields">
            <v-select
              :model-value="place"
              label="Where it is worked on"
              :items="places.map((each) => ({ title: PLACE_WORDS[each], value: each }))"
              @update:model-value="placed = $event"
            />
            <v-select
              :model-value="scope"
              label="What it is for"
              :items="scopes.map((each) => ({ title: SCOPE_WORDS[each], value: each }))"
              @update:model-value="wanted = $event"
            />
            <DayField v-model="due" label="Wanted by" optional />
          </div>
          <CanPromise :asked="asked" :taken="due" @take="due = $event" />
          <p v-if="leaves" class="label">For this job it leaves its line: {{ leaves }}.</p>
          <v-textarea v-model="reported" label="What was reported" maxlength="400" />
        </section>
        <p v-if="asks.length > 0" class="ask label">
          Will be asked on the bench: {{ asks.map(({ question }) => question).join(' ') }}
        </p>
        <p v-if="problem" class="problem" role="alert">{{ problem }} What you typed is kept here.</p>
        <p v-if="order" class="label">Opened for work order {{ order.number }} of {{ order.from }}.</p>
        <BenchButton lamp kind="submit" :disabled="lacking.length > 0 || busy" :lacking="stillWanted"
          >Open the job</BenchButton
        >
      </form>
      <div class="row-flat drawing"><SectionDrawing :valve="valve" :calls="noCalls" :in-hand="[]" /></div>
    </div>
  </div>
</template>

<style scoped>
.new {
  display: grid;
  gap: 10px;
}
.new > :first-child {
  position: sticky;
  top: 8px;
  z-index: 3;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(300px, 1fr);
  gap: 12px;
  align-items: start;
}
.form {
  padding: 16px;
  display: grid;
  gap: 18px;
  justify-items: start;
}
.form section {
  width: 100%;
  display: grid;
  gap: 8px;
}
.made {
  width: 100%;
}
.made summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-size: 17px;
  font-weight: 600;
}
.drawing {
  padding: 10px;
  height: 560px;
  position: sticky;
  top: 120px;
}
@media (max-width: 1000px) {
  .halves {
    grid-template-columns: 1fr;
  }
  .drawing {
    position: static;
  }
}
</style>
