<script setup lang="ts">
import type { ValveLine } from '@dusk-wren/contract';
import type { ToComeAsked } from '@dusk-wren/contract/week';
import { CONSTRUCTION_IDS, CONSTRUCTIONS, defaultValve, type ConstructionId } from '@dusk-wren/core/valve';
import { computed, ref } from 'vue';
import CanPromise from '../../plan/promise/CanPromise.vue';
import ValveOnFile from '../receive/ValveOnFile.vue';

/** A day for a job that somebody asks for on the telephone: of a valve on file, or of one that is new here. */
const onFile = ref<ValveLine>();
const kind = ref<ConstructionId | null>(null);
const KINDS = CONSTRUCTION_IDS.map((value) => ({ value, title: CONSTRUCTIONS[value].name }));
const asked = computed((): ToComeAsked | undefined =>
  onFile.value
    ? { valve: { id: onFile.value.id } }
    : kind.value === null
      ? undefined
      : { valve: { new: defaultValve(kind.value) } },
);
</script>

<template>
  <section class="new-job" aria-label="A new job">
    <h2>What can be promised</h2>
    <div class="which">
      <ValveOnFile v-model="onFile" />
      <v-select
        v-if="!onFile"
        v-model="kind"
        label="Or one that is new, of the kind"
        :items="KINDS"
        clearable
        hide-details
      />
    </div>
    <CanPromise :asked="asked" lacking="a valve on file, or a kind" />
  </section>
</template>

<style scoped>
.new-job,
.which {
  display: grid;
  gap: 8px;
}
</style>
