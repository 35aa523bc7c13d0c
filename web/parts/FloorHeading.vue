<script setup lang="ts">
/** What stands in the columns of the floor, in words. */
const COLUMNS = ['valve', 'where the job stands', 'in hand, or what stops it', 'with', 'due, ready'];
</script>

<template>
  <p class="heading label muted" aria-hidden="true">
    <span v-for="each in COLUMNS" :key="each">{{ each }}</span>
  </p>
</template>

<style scoped>
/* The columns of a row, below. */
.heading {
  display: grid;
  grid-template-columns: minmax(170px, 1.1fr) minmax(240px, 1.7fr) minmax(220px, 1.5fr) 66px 120px;
  gap: 18px;
  padding: 0 14px 4px 19px;
  font-size: 14px;
}
@media (max-width: 1100px) {
  .heading {
    display: none;
  }
}
</style>
