<script setup lang="ts">
import { computed } from 'vue';
import ViewsHeading from '../parts/ViewsHeading.vue';
import { useSession } from '../stores/session';

/** The heading of what is practised, and the other ways to look at it. */
defineProps<{ title: string }>();
const session = useSession();
const views = computed(() => [
  ['/drill', 'Yours'] as const,
  ...(session.person?.role === 'lead' ? [['/drill/class', 'The class'] as const] : []),
]);
</script>

<template>
  <ViewsHeading :title="title" of="Drills" :views="views" />
</template>
