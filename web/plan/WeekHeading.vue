<script setup lang="ts">
import ViewsHeading from '../parts/ViewsHeading.vue';

/** The heading of what is planned, and the other ways to look at it. */
defineProps<{ title: string }>();
const VIEWS = [
  ['/week', 'Week'],
  ['/week/outages', 'Outages'],
  ['/week/file', 'A file'],
] as const;
</script>

<template>
  <ViewsHeading :title="title" of="Plans" :views="VIEWS" />
</template>
