<script setup lang="ts">
import ViewsHeading from '../parts/ViewsHeading.vue';

/** The heading of what the shop knows of its valves, and the other ways to look at it. */
defineProps<{ title: string }>();
const VIEWS = [
  ['/valves', 'Register'],
  ['/valves/due', 'Due'],
  ['/valves/fleet', 'Together'],
] as const;
</script>

<template>
  <ViewsHeading :title="title" of="Valves" :views="VIEWS" />
</template>
