<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue';

/** The picture of a working, where one says more than its figures. */
const props = defineProps<{ id: string; raw: Record<string, unknown> }>();
const PICTURES: Readonly<Record<string, Component>> = {
  'bolting.sequence': defineAsyncComponent(() => import('./pictures/SequencePicture.vue')),
  'packing.rings': defineAsyncComponent(() => import('./pictures/PackingPicture.vue')),
  'stem.runout': defineAsyncComponent(() => import('./pictures/RunoutPicture.vue')),
  'seat.contact': defineAsyncComponent(() => import('./pictures/ContactPicture.vue')),
  'actuator.balance': defineAsyncComponent(() => import('./pictures/BalancePicture.vue')),
  'positioner.stroke': defineAsyncComponent(() => import('./pictures/StrokePicture.vue')),
  'oring.fit': defineAsyncComponent(() => import('./pictures/ORingPicture.vue')),
  'bolting.torque': defineAsyncComponent(() => import('./pictures/TorquePicture.vue')),
  'test.pressures': defineAsyncComponent(() => import('./pictures/TestPressuresPicture.vue')),
  'repair.or-renew': defineAsyncComponent(() => import('./pictures/RepairPicture.vue')),
  'medium.hazard': defineAsyncComponent(() => import('./pictures/HazardPicture.vue')),
  'life.trend': defineAsyncComponent(() => import('./pictures/TrendPicture.vue')),
  'life.weibull': defineAsyncComponent(() => import('./pictures/LifePicture.vue')),
  'life.survival': defineAsyncComponent(() => import('./pictures/LifePicture.vue')),
  'relief.set': defineAsyncComponent(() => import('./pictures/ReliefPicture.vue')),
};
const picture = computed(() => PICTURES[props.id]);
</script>

<template>
  <component :is="picture" v-if="picture" :raw="raw" />
</template>
