<script setup lang="ts">
import { DRILLS } from '@dusk-wren/core/drill';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { ticketIn } from '../drill/address';
import { useDrills } from '../drill/drills';
import SittingBench from '../drill/SittingBench.vue';

/** An exercise by its ticket in the address. */
const props = defineProps<{ drill: string }>();
const route = useRoute();
const drills = useDrills();
const ticket = computed(() => ticketIn(props.drill, route.query));
const makesSense = computed(
  () => ticket.value !== undefined && DRILLS[ticket.value.drill].sit(ticket.value).ok,
);
onMounted(() => void drills.load());
</script>

<template>
  <SittingBench v-if="ticket && makesSense" :key="route.fullPath" :ticket="ticket" />
  <div v-else class="page">
    <p class="problem" role="alert">There is no such exercise.</p>
    <router-link class="way" to="/drill">To the drills</router-link>
  </div>
</template>
