<script setup lang="ts">
import type { ClassView, TaskAsked } from '@dusk-wren/contract/drills';
import {
  ALL_DRILLS,
  constructionsFor,
  DRILLS,
  LEVELS,
  valveOfDrill,
  type DrillId,
  type Level,
} from '@dusk-wren/core/drill';
import { CONSTRUCTIONS, type ConstructionId } from '@dusk-wren/core/valve';
import type { PersonId } from '@dusk-wren/core/job';
import { computed, ref, shallowRef, watch, type Component } from 'vue';
import BenchButton from '../../parts/BenchButton.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { freshSeed } from '../address';
import PlantFault from './PlantFault.vue';
import PlantLine from './PlantLine.vue';
import PlantRing from './PlantRing.vue';

/** An exercise put together by hand and sent to people: something planted where its kind can be, else left to chance. */
defineProps<{ people: ClassView['people']; busy: boolean }>();
const emit = defineEmits<{ send: [task: TaskAsked] }>();

const PLANTS: Partial<Record<DrillId, Component>> = {
  'where-is-the-fault': PlantFault,
  'read-the-ring': PlantRing,
  'make-it-dead': PlantLine,
};
const drill = ref<DrillId>('where-is-the-fault');
const construction = ref<ConstructionId>('control-globe-double-seat');
const level = ref<Level>(2);
const planted = shallowRef<Record<string, unknown>>();
const note = ref('');
const to = ref<PersonId[]>([]);
const kinds = ALL_DRILLS.map(({ id, title }) => ({ value: id, title }));
const valves = computed(() =>
  constructionsFor(drill.value).map((value) => ({ value, title: CONSTRUCTIONS[value].name })),
);
watch(drill, () => {
  planted.value = undefined;
  const [first] = valves.value;
  if (first && !valves.value.some(({ value }) => value === construction.value))
    construction.value = first.value;
});
const valve = computed(() => valveOfDrill({ construction: construction.value }));
const wants = computed(() => drill.value === 'where-is-the-fault' || drill.value === 'read-the-ring');
const lacking = computed(() =>
  wants.value && !planted.value ? 'say what is planted' : to.value.length === 0 ? 'to whom' : '',
);
function send(): void {
  if (lacking.value !== '') return;
  const ticket = {
    drill: drill.value,
    seed: freshSeed(),
    level: level.value,
    construction: construction.value,
  };
  emit('send', {
    ticket: planted.value ? { ...ticket, planted: planted.value } : ticket,
    note: note.value,
    people: to.value,
  });
  [note.value, to.value] = ['', []];
}
</script>

<template>
  <form class="task row-flat" @submit.prevent="send">
    <v-select v-model="drill" label="What" :items="kinds" />
    <v-select v-model="construction" label="On" :items="valves" />
    <ChoiceRow
      label="Level"
      :options="LEVELS.map((value) => ({ value, label: `Level ${value}` }))"
      :picked="level"
      @pick="level = $event"
    />
    <p class="teaches muted">{{ DRILLS[drill].teaches }}</p>
    <component
      :is="PLANTS[drill]"
      v-if="PLANTS[drill]"
      :key="drill"
      :valve="valve"
      @plant="planted = $event"
    />
    <p v-else class="label muted">Chance puts this one together; everybody has the same.</p>
    <v-text-field v-model="note" class="whole" label="What to say with it" maxlength="200" />
    <v-select
      v-model="to"
      class="whole"
      label="To"
      multiple
      :items="people.map(({ id, name }) => ({ value: id, title: name }))"
    />
    <BenchButton lamp kind="submit" :disabled="busy || lacking !== ''" :lacking="lacking"
      >Send it</BenchButton
    >
  </form>
</template>

<style scoped>
.task {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 280px), 1fr));
  gap: 12px 16px;
  align-items: start;
  width: 100%;
  padding: 14px 16px;
}
.teaches,
.whole {
  grid-column: 1 / -1;
}
.task > .bench-button {
  justify-self: start;
}
</style>
