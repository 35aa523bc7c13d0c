<script setup lang="ts">
import type { WorkPlace, WorkPlaceAsked } from '@dusk-wren/contract';
import { ref } from 'vue';
import BenchButton from '../parts/BenchButton.vue';
import PlaceForm from './PlaceForm.vue';
import { sayOpen } from './say-hours';
import SetupFile from './SetupFile.vue';
import { useSetupPlaces } from './setup-places';

/** Where work is done: what there is of it, and when it is open. */
const { places, wrong, refetch, add, change } = useSetupPlaces();
const BLANK: WorkPlaceAsked = {
  name: '',
  kind: 'bench',
  count: 1,
  days: ['Mon', 'Tue', 'Wed', 'Thu', 'Fri'],
  opens: '07:00',
  closes: '15:30',
};
/** The one that is being set: its id, or a new one. */
const setting = ref<string>();
const NEW = 'new';
const keepNew = async (asked: WorkPlaceAsked) => {
  if (await add(asked)) setting.value = undefined;
};
const keep = async (id: string, asked: WorkPlaceAsked) => {
  if (await change(id, asked)) setting.value = undefined;
};
const asked = ({ name, kind, count, days, opens, closes }: WorkPlace): WorkPlaceAsked => ({
  ...{ name, kind, count, days },
  ...{ opens, closes },
});
</script>

<template>
  <section class="places" aria-label="Places">
    <div class="head">
      <h2>{{ places.filter(({ retired }) => !retired).length }} places in use</h2>
      <BenchButton v-if="setting !== NEW" lamp @press="setting = NEW">Add a place</BenchButton>
    </div>
    <div v-if="setting === NEW" class="new">
      <PlaceForm :place="BLANK" words="Keep it" @keep="keepNew" @leave="setting = undefined" />
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <SetupFile kind="places" columns="name, kind, count, days, opens, closes" @taken="refetch()" />
    <p v-if="places.length === 0" class="muted">
      Benches, vices, the lathe, the wash, the rigs: what there is of each, and when it is open.
    </p>
    <article v-for="place in places" :key="place.id" class="place" :class="{ gone: place.retired }">
      <PlaceForm
        v-if="setting === place.id"
        :place="asked(place)"
        words="Set it so"
        @keep="keep(place.id, $event)"
        @leave="setting = undefined"
      />
      <template v-else>
        <b>{{ place.name }}</b>
        <span class="number label">{{ place.count }} × {{ place.kind }}</span>
        <span class="muted">{{ place.retired ? 'out of use' : sayOpen(place) }}</span>
        <span class="acts">
          <BenchButton v-if="!place.retired" @press="setting = place.id">Change</BenchButton>
          <BenchButton @press="change(place.id, { retired: !place.retired })">{{
            place.retired ? 'Back in use' : 'Out of use'
          }}</BenchButton>
        </span>
      </template>
    </article>
  </section>
</template>

<style scoped>
.places {
  display: grid;
  gap: 10px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  align-items: center;
  justify-content: space-between;
}
.new,
.place {
  padding: 12px 14px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
}
.new {
  border-color: var(--lamp);
}
.place:not(:has(form)) {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 0.8fr) minmax(0, 1.6fr) auto;
  gap: 4px 16px;
  align-items: center;
}
.gone {
  opacity: 0.75;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 700px) {
  .place:not(:has(form)) {
    grid-template-columns: 1fr 1fr;
  }
  .place .muted,
  .place .acts {
    grid-column: 1 / -1;
  }
}
</style>
