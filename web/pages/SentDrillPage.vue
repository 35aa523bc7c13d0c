<script setup lang="ts">
import type { DrillTask } from '@dusk-wren/contract/drills';
import { onMounted, ref, shallowRef } from 'vue';
import { useDrills } from '../drill/drills';
import SittingBench from '../drill/SittingBench.vue';

/** An exercise that a teacher has sent. */
const props = defineProps<{ task: string }>();
const drills = useDrills();
/** As it was when the page was opened: done, it no longer waits. */
const sent = shallowRef<DrillTask>();
const looked = ref(false);
const find = () => (sent.value ??= drills.tasks.find(({ id }) => id === props.task));
onMounted(async () => {
  if (!find()) await drills.load();
  find();
  looked.value = true;
});
</script>

<template>
  <SittingBench
    v-if="sent"
    :ticket="sent.ticket"
    :task="sent.id"
    :note="sent.note && `${sent.by}: ${sent.note}`"
  />
  <div v-else-if="looked" class="page">
    <p>It is done, or was taken back.</p>
    <router-link class="way" to="/drill">To the drills</router-link>
  </div>
</template>
