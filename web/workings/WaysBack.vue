<script setup lang="ts">
/** From a working back to all of them, and to the job that it was opened from. */
defineProps<{ from: { readonly id: string; readonly tag: string } | undefined }>();
</script>

<template>
  <p class="label no-print back">
    <router-link class="way" :to="{ path: '/workings', query: from ? { job: from.id } : {} }"
      >All workings</router-link
    >
    <router-link v-if="from" class="way" :to="`/jobs/${from.id}`">Back to {{ from.tag }}</router-link>
  </p>
</template>

<style scoped>
.back {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
</style>
